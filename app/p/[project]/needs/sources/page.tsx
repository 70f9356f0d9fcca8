import { SourcesScreen } from "@/stages/needs/screens/sources";

export const metadata = { title: "Sources" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <SourcesScreen slug={(await params).project} />;
}
