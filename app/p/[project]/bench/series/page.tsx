import { SeriesScreen } from "@/stages/bench/screens/series";

export const metadata = { title: "Series" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ id?: string }>;
}) {
  return <SeriesScreen slug={(await params).project} id={(await searchParams).id ?? ""} />;
}
