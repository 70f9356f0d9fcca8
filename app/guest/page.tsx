import { GuestScreen } from "@/frame/guest/screens/guest";
import { GuestScoring } from "@/stages/contest/parts/guest-scoring";

export const metadata = { title: "Guest" };
export default async function Page({ searchParams }: { searchParams: Promise<{ review?: string }> }) {
  return <GuestScreen review={(await searchParams).review} scoring={(project) => <GuestScoring project={project} />} />;
}
