import { TeamsScreen } from "@/features/teams/screens";

export const metadata = { title: "Teams" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <TeamsScreen slug={(await params).project} />;
}
