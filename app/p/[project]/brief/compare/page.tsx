import { CompareScreen } from "@/stages/brief/screens/compare";

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
