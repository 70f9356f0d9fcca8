import { MeetingScreen } from "@/stages/builds/screens/meeting";

export const metadata = { title: "What comes together" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ team?: string }>;
}) {
  return <MeetingScreen slug={(await params).project} team={(await searchParams).team} />;
}
