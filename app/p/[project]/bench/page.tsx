import { BenchScreen } from "@/stages/bench/screens/bench";

export const metadata = { title: "Bench" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ protocol?: string; build?: string; all?: string }>;
}) {
  const { protocol, build, all } = await searchParams;
  return <BenchScreen slug={(await params).project} protocol={protocol} build={build} all={all === "1"} />;
}
