import { GatesScreen } from "@/stages/plan/screens/gates";
import { NewTool, ToolsPart } from "@/stages/shop/screens/tools";

export const metadata = { title: "Gates and tools" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  const { project: slug } = await params;
  return <GatesScreen slug={slug} toolsPart={<ToolsPart slug={slug} />} newTool={<NewTool slug={slug} />} />;
}
