import { HonoursScreen } from "@/stages/records/screens/honours";

export const metadata = { title: "Honours" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <HonoursScreen slug={(await params).project} />;
}
