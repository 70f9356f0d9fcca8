import { TodayScreen } from "@/frame/today/screens/today";

export default function Page() {
  return <TodayScreen />;
}
