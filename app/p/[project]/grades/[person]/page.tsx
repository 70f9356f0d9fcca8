import { StudentGradeScreen } from "@/stages/grades/screens/student-grade";

export const metadata = { title: "Grade" };
export default async function Page({ params }: { params: Promise<{ project: string; person: string }> }) {
  const { project, person } = await params;
  return <StudentGradeScreen slug={project} person={person} />;
}
