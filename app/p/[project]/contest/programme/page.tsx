import { ProgrammeScreen } from "@/stages/contest/screens/programme";

export const metadata = { title: "Programme" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <ProgrammeScreen slug={(await params).project} />;
}
