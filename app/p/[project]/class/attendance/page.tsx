import { AttendanceScreen } from "@/stages/today/screens/attendance";

export const metadata = { title: "Attendance" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <AttendanceScreen slug={(await params).project} />;
}
