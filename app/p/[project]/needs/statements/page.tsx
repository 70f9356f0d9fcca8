import { StatementsScreen } from "@/features/needs/interview-screens";

export const metadata = { title: "Statements" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <StatementsScreen slug={(await params).project} />;
}
