import { SourcesScreen } from "@/features/needs/interview-screens";

export const metadata = { title: "Sources" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <SourcesScreen slug={(await params).project} />;
}
