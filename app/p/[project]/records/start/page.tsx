import { StartScreen } from "@/stages/records/screens/start";

export const metadata = { title: "Start from an earlier build" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ build?: string; without?: string }>;
}) {
  return <StartScreen slug={(await params).project} {...(await searchParams)} />;
}
