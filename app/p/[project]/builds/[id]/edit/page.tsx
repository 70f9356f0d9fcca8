import { BuildEditScreen } from "@/stages/builds/screens/build-edit";

export const metadata = { title: "Edit a build" };
export default async function Page({ params }: { params: Promise<{ project: string; id: string }> }) {
  const { project, id } = await params;
  return <BuildEditScreen slug={project} id={id} />;
}
