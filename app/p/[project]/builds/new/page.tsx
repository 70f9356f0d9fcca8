import { BuildEditScreen } from "@/stages/builds/screens/build-edit";

export const metadata = { title: "A new generation" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ team?: string; from?: string; edition?: string; without?: string }>;
}) {
  const { team, from, edition, without } = await searchParams;
  const ancestor = edition ? { id: edition, without: without?.split(",") ?? [] } : undefined;
  return <BuildEditScreen slug={(await params).project} team={team} from={from?.split(",")} ancestor={ancestor} />;
}
