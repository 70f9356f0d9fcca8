import { TodayScreen } from "@/features/today/screens";

export default function Page() {
  return <TodayScreen />;
}
