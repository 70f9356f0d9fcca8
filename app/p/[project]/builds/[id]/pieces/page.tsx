import { PiecesScreen } from "@/stages/builds/screens/pieces";

export const metadata = { title: "Pieces and makers" };
export default async function Page({ params }: { params: Promise<{ project: string; id: string }> }) {
  const { project, id } = await params;
  return <PiecesScreen slug={project} id={id} />;
}
