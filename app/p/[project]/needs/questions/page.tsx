import { QuestionsScreen } from "@/stages/needs/screens/questions";

export const metadata = { title: "Questions" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <QuestionsScreen slug={(await params).project} />;
}
