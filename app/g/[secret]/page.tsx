import { GuestLinkScreen } from "@/frame/account/screens/guest-link";

export const metadata = { title: "Invitation" };
export default async function Page({ params }: { params: Promise<{ secret: string }> }) {
  return <GuestLinkScreen secret={(await params).secret} />;
}
