import { TeamBookletScreen } from "@/frame/whole/screens/booklet";

export const metadata = { title: "Booklet of a team" };
export default async function Page({ params }: { params: Promise<{ project: string; team: string }> }) {
  const { project, team } = await params;
  return <TeamBookletScreen slug={project} team={team} />;
}
