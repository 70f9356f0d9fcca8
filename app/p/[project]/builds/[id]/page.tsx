import { BuildScreen } from "@/stages/builds/screens/build";
import { HandbookBeside } from "@/stages/handbook/screens/beside";

export const metadata = { title: "Build" };
export default async function Page({ params }: { params: Promise<{ project: string; id: string }> }) {
  const { project, id } = await params;
  return (
    <>
      <BuildScreen slug={project} id={id} />
      <HandbookBeside slug={project} kind="build" named={id} />
    </>
  );
}
