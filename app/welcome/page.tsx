import { WelcomeScreen } from "@/features/account/screens";

export const metadata = { title: "A new school" };
export default function Page() {
  return <WelcomeScreen />;
}
