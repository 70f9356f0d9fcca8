import { QuestionsScreen } from "@/features/needs/interview-screens";

export const metadata = { title: "Questions" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <QuestionsScreen slug={(await params).project} />;
}
