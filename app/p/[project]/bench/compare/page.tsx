import { CompareScreen } from "@/stages/bench/screens/compare";
import type { Wanted } from "@/stages/bench/view/compare";

export const metadata = { title: "Compare" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<Wanted>;
}) {
  return <CompareScreen slug={(await params).project} wanted={await searchParams} />;
}
