import { PacketScreen } from "@/stages/reviews/screens/packet";

export const metadata = { title: "Review packet" };
export default async function Page({ params }: { params: Promise<{ project: string; id: string }> }) {
  const { project, id } = await params;
  return <PacketScreen slug={project} id={id} />;
}
