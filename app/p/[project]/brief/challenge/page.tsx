import { ChallengeScreen } from "@/stages/brief/screens/challenge";

export const metadata = { title: "Entry challenge" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <ChallengeScreen slug={(await params).project} />;
}
