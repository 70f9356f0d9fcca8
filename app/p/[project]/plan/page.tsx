import { PlanScreen } from "@/stages/plan/screens/plan";

export const metadata = { title: "Plan" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ section?: string }>;
}) {
  return <PlanScreen slug={(await params).project} section={(await searchParams).section} />;
}
