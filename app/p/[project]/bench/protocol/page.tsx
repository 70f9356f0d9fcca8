import { ProtocolScreen } from "@/stages/bench/screens/protocol";

export const metadata = { title: "Protocol" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ id?: string; from?: string }>;
}) {
  const { id, from } = await searchParams;
  return <ProtocolScreen slug={(await params).project} id={id} from={from} />;
}
