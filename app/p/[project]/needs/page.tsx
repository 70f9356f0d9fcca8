import { NeedsScreen } from "@/stages/needs/screens/needs";

export const metadata = { title: "Requirements" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ r?: string; filter?: string }>;
}) {
  const { r, filter } = await searchParams;
  return <NeedsScreen slug={(await params).project} open={r} filter={filter} />;
}
