import { SpreadsheetScreen } from "@/stages/grades/screens/spreadsheet";

export const metadata = { title: "Marks and spreadsheets" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <SpreadsheetScreen slug={(await params).project} />;
}
