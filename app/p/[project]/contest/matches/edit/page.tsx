import { MatchEventScreen } from "@/stages/contest/screens/match-event";

export const metadata = { title: "Event of matches" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ id?: string }>;
}) {
  return <MatchEventScreen slug={(await params).project} id={(await searchParams).id} />;
}
