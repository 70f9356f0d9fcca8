import { CalendarScreen } from "@/stages/plan/screens/calendar";

export const metadata = { title: "Calendar" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <CalendarScreen slug={(await params).project} />;
}
