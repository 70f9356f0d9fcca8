import { SchemeScreen } from "@/features/grades/screens";

export const metadata = { title: "Grading scheme" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <SchemeScreen slug={(await params).project} />;
}
