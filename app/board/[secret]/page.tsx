import { LinkBoardScreen } from "@/stages/contest/screens/link-board";

export const metadata = { title: "Board", robots: { index: false } };
export default async function Page({ params }: { params: Promise<{ secret: string }> }) {
  return <LinkBoardScreen secret={(await params).secret} />;
}
