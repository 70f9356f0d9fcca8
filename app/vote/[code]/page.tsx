import { VoteScreen } from "@/stages/contest/screens/vote";

export const metadata = { title: "Favourite of the crowd" };
export default async function Page({ params }: { params: Promise<{ code: string }> }) {
  return <VoteScreen code={(await params).code} />;
}
