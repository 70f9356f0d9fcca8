import { SignInScreen } from "@/features/account/screens";

export const metadata = { title: "Sign in" };
export default function Page() {
  return <SignInScreen />;
}
