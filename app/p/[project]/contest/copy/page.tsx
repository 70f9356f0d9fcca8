import { CopyScreen } from "@/stages/contest/screens/copy";

export const metadata = { title: "Copy events" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <CopyScreen slug={(await params).project} />;
}
