import { BuildEditScreen } from "@/stages/builds/screens/build-edit";

export const metadata = { title: "A new generation" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ team?: string }>;
}) {
  return <BuildEditScreen slug={(await params).project} team={(await searchParams).team} />;
}
