import { SheetsScreen } from "@/stages/reviews/screens/sheets";

export const metadata = { title: "Sheets of the class" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ title?: string }>;
}) {
  const { title } = await searchParams;
  return <SheetsScreen slug={(await params).project} title={title ?? ""} />;
}
