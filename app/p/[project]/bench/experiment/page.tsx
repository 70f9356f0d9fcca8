import { ExperimentScreen } from "@/stages/bench/screens/experiment";
import type { Asked } from "@/stages/bench/view/experiment";

export const metadata = { title: "Plan an experiment" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<Asked>;
}) {
  return <ExperimentScreen slug={(await params).project} asked={await searchParams} />;
}
