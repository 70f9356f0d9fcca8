import { RequirementScreen } from "@/stages/needs/screens/requirement";

export const metadata = { title: "Requirement" };
export default async function Page({ params }: { params: Promise<{ project: string; id: string }> }) {
  const { project, id } = await params;
  return <RequirementScreen slug={project} id={id} />;
}
