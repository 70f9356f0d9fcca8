import { SignInScreen } from "@/frame/account/screens/sign-in";

export const metadata = { title: "Sign in" };
export default function Page() {
  return <SignInScreen />;
}
