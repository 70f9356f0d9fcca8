import { AccountScreen } from "@/frame/account/screens/account";

export const metadata = { title: "Account" };
export default function Page() {
  return <AccountScreen />;
}
