import { AttentionScreen } from "@/stages/today/screens/attention";

export const metadata = { title: "Teams to look at" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <AttentionScreen slug={(await params).project} />;
}
