import { SchoolScreen } from "@/frame/school/screens/school";

export const metadata = { title: "School" };
export default function Page() {
  return <SchoolScreen />;
}
