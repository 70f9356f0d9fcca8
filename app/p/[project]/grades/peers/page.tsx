import { PeersScreen } from "@/stages/grades/screens/peers";

export const metadata = { title: "Peer ratings" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ round?: string }>;
}) {
  const { round } = await searchParams;
  return <PeersScreen slug={(await params).project} round={round} />;
}
