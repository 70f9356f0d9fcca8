import { InspectionScreen } from "@/stages/contest/screens/inspection";

export const metadata = { title: "Inspection" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ build?: string }>;
}) {
  return <InspectionScreen slug={(await params).project} build={(await searchParams).build} />;
}
