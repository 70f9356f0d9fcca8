import { OwnBoardScreen } from "@/stages/contest/screens/own-board";

export const metadata = { title: "Board" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ event?: string; screen?: string }>;
}) {
  return <OwnBoardScreen slug={(await params).project} {...(await searchParams)} />;
}
