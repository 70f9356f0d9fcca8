import { RecordsScreen } from "@/stages/records/screens/records";

export const metadata = { title: "Records" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <RecordsScreen slug={(await params).project} />;
}
