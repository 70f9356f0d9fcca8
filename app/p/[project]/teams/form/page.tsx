import { FormingScreen } from "@/features/teams/forming-screens";

export const metadata = { title: "Forming teams" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <FormingScreen slug={(await params).project} />;
}
