import { JudgedScreen } from "@/stages/contest/screens/judged";

export const metadata = { title: "Judging" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ event?: string }>;
}) {
  return <JudgedScreen slug={(await params).project} event={(await searchParams).event} />;
}
