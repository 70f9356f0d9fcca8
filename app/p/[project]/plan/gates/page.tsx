import { GatesScreen } from "@/features/plan/screens";

export const metadata = { title: "Gates and tools" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <GatesScreen slug={(await params).project} />;
}
