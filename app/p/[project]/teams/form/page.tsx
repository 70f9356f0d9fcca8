import { FormingScreen } from "@/stages/teams/screens/forming";

export const metadata = { title: "Forming teams" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <FormingScreen slug={(await params).project} />;
}
