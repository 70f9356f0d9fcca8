import { PilotScreen } from "@/stages/bench/screens/pilot";

export const metadata = { title: "Pilot runs" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ protocol?: string; build?: string }>;
}) {
  return <PilotScreen slug={(await params).project} asked={await searchParams} />;
}
