import { GuestScoring } from "@/features/contest/guest-scoring";
import { GuestScreen } from "@/features/guest/screens";

export const metadata = { title: "Guest" };
export default async function Page({ searchParams }: { searchParams: Promise<{ review?: string }> }) {
  return (
    <GuestScreen
      review={(await searchParams).review}
      scoring={(event, project) => <GuestScoring event={event} project={project} />}
    />
  );
}
