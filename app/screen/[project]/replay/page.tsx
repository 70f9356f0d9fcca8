import { ReplayScreen } from "@/stages/contest/screens/replay";

export const metadata = { title: "Replay" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ at?: string; event?: string }>;
}) {
  return <ReplayScreen slug={(await params).project} {...(await searchParams)} />;
}
