import { HandbookScreen } from "@/stages/handbook/screens/handbook";

export const metadata = { title: "Handbook" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ use?: string }>;
}) {
  return <HandbookScreen slug={(await params).project} use={(await searchParams).use} />;
}
