import { PlanScreen } from "@/features/plan/screens";

export const metadata = { title: "Plan" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <PlanScreen slug={(await params).project} />;
}
