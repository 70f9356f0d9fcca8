import { ClassSheetScreen } from "@/stages/today/screens/class-sheet";

export const metadata = { title: "Class sheet" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ section?: string; day?: string }>;
}) {
  return <ClassSheetScreen slug={(await params).project} asked={await searchParams} />;
}
