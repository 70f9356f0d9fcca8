import { ChoosingScreen } from "@/stages/concepts/screens/choosing";

export const metadata = { title: "Choosing" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <ChoosingScreen slug={(await params).project} />;
}
