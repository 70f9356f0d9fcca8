import { NewSeriesScreen } from "@/stages/bench/screens/series-new";

export const metadata = { title: "From a logger's file" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ protocol?: string; build?: string }>;
}) {
  return <NewSeriesScreen slug={(await params).project} asked={await searchParams} />;
}
