import { StudentScreen } from "@/frame/whole/screens/student";

export const metadata = { title: "Student" };
export default async function Page({ params }: { params: Promise<{ project: string; person: string }> }) {
  const { project, person } = await params;
  return <StudentScreen slug={project} person={person} />;
}
