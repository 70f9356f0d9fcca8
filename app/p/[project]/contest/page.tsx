import { ContestScreen } from "@/stages/contest/screens/contest";

export const metadata = { title: "Contest" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ event?: string }>;
}) {
  return <ContestScreen slug={(await params).project} event={(await searchParams).event} />;
}
