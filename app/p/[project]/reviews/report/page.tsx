import { ReportScreen } from "@/stages/reviews/screens/report";

export const metadata = { title: "Class report" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <ReportScreen slug={(await params).project} />;
}
