import { CompareScreen } from "@/features/brief/more-screens";

export const metadata = { title: "Versions of the brief" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ a?: string; b?: string }>;
}) {
  return <CompareScreen slug={(await params).project} {...(await searchParams)} />;
}
