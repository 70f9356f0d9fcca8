import { ConceptsScreen } from "@/stages/concepts/screens/concepts";

export const metadata = { title: "Concepts" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <ConceptsScreen slug={(await params).project} />;
}
