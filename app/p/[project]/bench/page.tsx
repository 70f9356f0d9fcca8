import { BenchScreen } from "@/stages/bench/screens/bench";
import { HandbookBeside } from "@/stages/handbook/screens/beside";

export const metadata = { title: "Bench" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ protocol?: string; build?: string; all?: string }>;
}) {
  const { protocol, build, all } = await searchParams;
  const slug = (await params).project;
  return (
    <>
      <BenchScreen slug={slug} protocol={protocol} build={build} all={all === "1"} />
      <HandbookBeside slug={slug} kind="protocol" named={protocol} />
    </>
  );
}
