import { OwnBoardScreen } from "@/features/contest/board-screens";

export const metadata = { title: "Board" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <OwnBoardScreen slug={(await params).project} />;
}
