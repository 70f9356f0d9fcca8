import { SchoolScreen } from "@/features/school/screens";

export const metadata = { title: "School" };
export default function Page() {
  return <SchoolScreen />;
}
