import { BuildEditScreen } from "@/stages/builds/screens/build-edit";

export const metadata = { title: "A new generation" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ team?: string; from?: string }>;
}) {
  const { team, from } = await searchParams;
  return <BuildEditScreen slug={(await params).project} team={team} from={from?.split(",")} />;
}
