import { GuestScreen } from "@/frame/guest/screens/guest";
import { GuestScoring } from "@/stages/contest/parts/guest-scoring";

export const metadata = { title: "Guest", manifest: "/guest.webmanifest" };
export default async function Page({
  searchParams,
}: {
  searchParams: Promise<{ review?: string; inspect?: string; event?: string }>;
}) {
  const { review, ...asked } = await searchParams;
  return <GuestScreen review={review} scoring={(project) => <GuestScoring project={project} {...asked} />} />;
}
