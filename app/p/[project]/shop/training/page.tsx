import { TrainingScreen } from "@/stages/shop/screens/training";

export const metadata = { title: "Training" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <TrainingScreen slug={(await params).project} />;
}
