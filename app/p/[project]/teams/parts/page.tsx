import { PartsScreen } from "@/stages/teams/screens/parts";

export const metadata = { title: "Parts and owners" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <PartsScreen slug={(await params).project} />;
}
