import { JudgedEventScreen } from "@/stages/contest/screens/judged-event";

export const metadata = { title: "Judged event" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ id?: string }>;
}) {
  return <JudgedEventScreen slug={(await params).project} id={(await searchParams).id} />;
}
