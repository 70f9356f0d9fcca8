import { OverallScreen } from "@/stages/contest/screens/overall";

export const metadata = { title: "Overall" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <OverallScreen slug={(await params).project} />;
}
