import { ChangesScreen } from "@/features/needs/change-screens";

export const metadata = { title: "Changes" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <ChangesScreen slug={(await params).project} />;
}
