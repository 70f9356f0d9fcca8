import { StewardScreen } from "@/stages/contest/screens/steward";

export const metadata = { title: "Steward" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <StewardScreen slug={(await params).project} />;
}
