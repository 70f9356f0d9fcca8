import { PartsScreen } from "@/stages/builds/screens/parts";

export const metadata = { title: "Parts" };
export default async function Page({ params }: { params: Promise<{ project: string; id: string }> }) {
  const { project, id } = await params;
  return <PartsScreen slug={project} id={id} />;
}
