import { EditionsScreen } from "@/stages/records/screens/editions";

export const metadata = { title: "Editions" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ against?: string }>;
}) {
  return <EditionsScreen slug={(await params).project} against={(await searchParams).against} />;
}
