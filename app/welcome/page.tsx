import { WelcomeScreen } from "@/frame/account/screens/welcome";

export const metadata = { title: "A new school" };
export default function Page() {
  return <WelcomeScreen />;
}
