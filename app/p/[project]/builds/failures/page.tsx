import { FailuresScreen } from "@/stages/builds/screens/failures";

export const metadata = { title: "Failures" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ team?: string }>;
}) {
  return <FailuresScreen slug={(await params).project} team={(await searchParams).team} />;
}
