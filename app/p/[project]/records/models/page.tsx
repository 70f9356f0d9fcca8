import { ModelsScreen } from "@/stages/records/screens/models";

export const metadata = { title: "Kept models" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <ModelsScreen slug={(await params).project} />;
}
