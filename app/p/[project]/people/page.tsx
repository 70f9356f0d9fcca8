import { PeopleScreen } from "@/stages/people/screens/people";

export const metadata = { title: "People" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ section?: string }>;
}) {
  const { section } = await searchParams;
  return <PeopleScreen slug={(await params).project} section={section} />;
}
