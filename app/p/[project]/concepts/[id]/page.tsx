import { ConceptScreen } from "@/stages/concepts/screens/concept";

export const metadata = { title: "Concept" };
export default async function Page({ params }: { params: Promise<{ project: string; id: string }> }) {
  const { project, id } = await params;
  return <ConceptScreen slug={project} id={id} />;
}
