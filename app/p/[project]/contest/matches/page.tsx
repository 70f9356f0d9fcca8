import { MatchesScreen } from "@/stages/contest/screens/matches";

export const metadata = { title: "Matches" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ event?: string }>;
}) {
  return <MatchesScreen slug={(await params).project} event={(await searchParams).event} />;
}
