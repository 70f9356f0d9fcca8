import { InspectionScreen } from "@/stages/needs/screens/inspection";

export const metadata = { title: "Inspection" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <InspectionScreen slug={(await params).project} />;
}
