import { DepartmentScreen } from "@/frame/school/screens/department";

export const metadata = { title: "Department" };
export default function Page() {
  return <DepartmentScreen />;
}
