import { GuidesScreen } from "@/stages/records/screens/guides";

export const metadata = { title: "Build guides" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <GuidesScreen slug={(await params).project} />;
}
