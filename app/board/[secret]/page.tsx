import { LinkBoardScreen } from "@/stages/contest/screens/link-board";

export const metadata = { title: "Board", robots: { index: false } };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ secret: string }>;
  searchParams: Promise<{ event?: string; screen?: string }>;
}) {
  return <LinkBoardScreen secret={(await params).secret} {...(await searchParams)} />;
}
