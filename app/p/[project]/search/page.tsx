import { SearchScreen } from "@/frame/search/screens/search";

export const metadata = { title: "Search" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ q?: string; kind?: string }>;
}) {
  const { q, kind } = await searchParams;
  return <SearchScreen slug={(await params).project} typed={q ?? ""} kind={kind} />;
}
