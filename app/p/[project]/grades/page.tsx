import { GradesScreen } from "@/stages/grades/screens/grades";

export const metadata = { title: "Grades" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ section?: string }>;
}) {
  const { section } = await searchParams;
  return <GradesScreen slug={(await params).project} section={section} />;
}
