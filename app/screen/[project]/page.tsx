import { OwnBoardScreen } from "@/stages/contest/screens/own-board";

export const metadata = { title: "Board" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <OwnBoardScreen slug={(await params).project} />;
}
