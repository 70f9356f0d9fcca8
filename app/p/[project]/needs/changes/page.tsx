import { ChangesScreen } from "@/stages/needs/screens/changes";

export const metadata = { title: "Changes" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <ChangesScreen slug={(await params).project} />;
}
