import { CutListScreen } from "@/stages/shop/screens/cut-list";

export const metadata = { title: "Cut list" };
export default async function Page({ params }: { params: Promise<{ project: string; id: string }> }) {
  const { project, id } = await params;
  return <CutListScreen slug={project} id={id} />;
}
