import { BoardsScreen } from "@/stages/contest/screens/boards";

export const metadata = { title: "Boards" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <BoardsScreen slug={(await params).project} />;
}
