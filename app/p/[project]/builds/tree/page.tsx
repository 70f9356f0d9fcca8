import { TreeScreen } from "@/stages/builds/screens/tree";

export const metadata = { title: "Family tree" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ team?: string }>;
}) {
  return <TreeScreen slug={(await params).project} team={(await searchParams).team} />;
}
