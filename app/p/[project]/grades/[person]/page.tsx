import { StudentGradeScreen } from "@/features/grades/screens";

export const metadata = { title: "Grade" };
export default async function Page({ params }: { params: Promise<{ project: string; person: string }> }) {
  const { project, person } = await params;
  return <StudentGradeScreen slug={project} person={person} />;
}
