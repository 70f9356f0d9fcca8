import { SelectionScreen } from "@/stages/concepts/screens/selection";

export const metadata = { title: "Selection" };
export default async function Page({ params }: { params: Promise<{ project: string; id: string }> }) {
  const { project, id } = await params;
  return <SelectionScreen slug={project} id={id} />;
}
