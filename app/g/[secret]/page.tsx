import { GuestLinkScreen } from "@/frame/account/screens/guest-link";

export const metadata = { title: "Invitation" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ secret: string }>;
  searchParams: Promise<{ event?: string; screen?: string }>;
}) {
  return <GuestLinkScreen secret={(await params).secret} asked={await searchParams} />;
}
