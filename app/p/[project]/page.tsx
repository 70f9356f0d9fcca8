import { CoreLogScreen } from "@/frame/log/screens/core-log";

export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ show?: string }>;
}) {
  return <CoreLogScreen slug={(await params).project} show={(await searchParams).show ?? ""} />;
}
