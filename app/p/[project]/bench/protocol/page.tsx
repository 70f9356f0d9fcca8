import { ProtocolScreen } from "@/stages/bench/screens/protocol";
import { HandbookBeside } from "@/stages/handbook/screens/beside";

export const metadata = { title: "Protocol" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ id?: string; from?: string }>;
}) {
  const { id, from } = await searchParams;
  const slug = (await params).project;
  return (
    <>
      <ProtocolScreen slug={slug} id={id} from={from} />
      <HandbookBeside slug={slug} kind="protocol" named={id} />
    </>
  );
}
