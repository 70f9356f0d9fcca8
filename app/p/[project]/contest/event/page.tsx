import { EventScreen } from "@/stages/contest/screens/event";

export const metadata = { title: "Event" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ id?: string }>;
}) {
  return <EventScreen slug={(await params).project} id={(await searchParams).id} />;
}
