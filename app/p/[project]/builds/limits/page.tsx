import { LimitsScreen } from "@/stages/builds/screens/limits";

export const metadata = { title: "Limits" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <LimitsScreen slug={(await params).project} />;
}
