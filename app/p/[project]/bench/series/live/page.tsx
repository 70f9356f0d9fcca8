import { LiveScreen } from "@/stages/bench/screens/live";

export const metadata = { title: "From an instrument" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ protocol?: string; build?: string }>;
}) {
  return <LiveScreen slug={(await params).project} asked={await searchParams} />;
}
