import { RequirementScreen } from "@/stages/needs/screens/requirement";

export const metadata = { title: "New requirement" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <RequirementScreen slug={(await params).project} />;
}
