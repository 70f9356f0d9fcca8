import { BriefScreen } from "@/stages/brief/screens/brief";

export const metadata = { title: "Brief" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ v?: string }>;
}) {
  return <BriefScreen slug={(await params).project} number={(await searchParams).v} />;
}
