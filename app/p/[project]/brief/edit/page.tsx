import { BriefEditScreen } from "@/stages/brief/screens/brief-edit";

export const metadata = { title: "Edit the brief" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <BriefEditScreen slug={(await params).project} />;
}
