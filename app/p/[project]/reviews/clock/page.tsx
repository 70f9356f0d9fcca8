import { ClockScreen } from "@/stages/reviews/screens/clock";

export const metadata = { title: "Clock" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ title?: string; day?: string }>;
}) {
  const { title, day } = await searchParams;
  return <ClockScreen slug={(await params).project} title={title ?? ""} day={day} />;
}
