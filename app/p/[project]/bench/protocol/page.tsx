import { ProtocolScreen } from "@/stages/bench/screens/protocol";

export const metadata = { title: "Protocol" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ id?: string }>;
}) {
  return <ProtocolScreen slug={(await params).project} id={(await searchParams).id} />;
}
