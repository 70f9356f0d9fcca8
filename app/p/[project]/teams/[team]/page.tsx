import { TeamScreen } from "@/frame/whole/screens/team";

export const metadata = { title: "Team" };
export default async function Page({ params }: { params: Promise<{ project: string; team: string }> }) {
  const { project, team } = await params;
  return <TeamScreen slug={project} team={team} />;
}
