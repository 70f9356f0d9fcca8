import { FeaturesScreen } from "@/stages/records/screens/features";

export const metadata = { title: "Features over the years" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ measure?: string }>;
}) {
  return <FeaturesScreen slug={(await params).project} measure={(await searchParams).measure} />;
}
