import { GuideScreen } from "@/stages/records/screens/guide";

export const metadata = { title: "Build guide" };
export default async function Page({ params }: { params: Promise<{ project: string; guide: string }> }) {
  const { project, guide } = await params;
  return <GuideScreen slug={project} id={guide} />;
}
