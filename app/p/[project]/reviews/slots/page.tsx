import { SlotsScreen } from "@/stages/reviews/screens/slots";

export const metadata = { title: "Slots" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ title?: string }>;
}) {
  const { title } = await searchParams;
  return <SlotsScreen slug={(await params).project} title={title ?? ""} />;
}
