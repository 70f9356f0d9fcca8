import { RecordsScreen } from "@/features/records/screens";

export const metadata = { title: "Records" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <RecordsScreen slug={(await params).project} />;
}
