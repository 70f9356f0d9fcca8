import { GradesScreen } from "@/stages/grades/screens/grades";

export const metadata = { title: "Grades" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <GradesScreen slug={(await params).project} />;
}
