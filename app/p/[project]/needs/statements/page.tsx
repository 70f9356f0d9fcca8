import { StatementsScreen } from "@/stages/needs/screens/statements";

export const metadata = { title: "Statements" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <StatementsScreen slug={(await params).project} />;
}
