import { ClassScreen } from "@/stages/bench/screens/class";

export const metadata = { title: "Whole class" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ protocol?: string; n?: string }>;
}) {
  return <ClassScreen slug={(await params).project} asked={await searchParams} />;
}
