import { TeamsScreen } from "@/stages/teams/screens/teams";

export const metadata = { title: "Teams" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <TeamsScreen slug={(await params).project} />;
}
