import { CuresScreen } from "@/stages/records/screens/cures";

export const metadata = { title: "Faults and cures" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <CuresScreen slug={(await params).project} />;
}
