import { PapersScreen } from "@/stages/contest/screens/papers";

export const metadata = { title: "On paper" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ what?: string; names?: string }>;
}) {
  return <PapersScreen slug={(await params).project} {...(await searchParams)} />;
}
