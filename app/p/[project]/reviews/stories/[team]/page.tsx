import { StoryScreen } from "@/stages/reviews/screens/story";

export const metadata = { title: "Story" };
export default async function Page({ params }: { params: Promise<{ project: string; team: string }> }) {
  const { project, team } = await params;
  return <StoryScreen slug={project} team={team} />;
}
