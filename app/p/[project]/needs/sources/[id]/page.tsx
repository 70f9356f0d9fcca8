import { SourceScreen } from "@/stages/needs/screens/source";

export const metadata = { title: "Source" };
export default async function Page({ params }: { params: Promise<{ project: string; id: string }> }) {
  const { project, id } = await params;
  return <SourceScreen slug={project} id={id} />;
}
