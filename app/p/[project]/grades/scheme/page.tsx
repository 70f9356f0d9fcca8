import { SchemeScreen } from "@/stages/grades/screens/scheme";

export const metadata = { title: "Grading scheme" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <SchemeScreen slug={(await params).project} />;
}
