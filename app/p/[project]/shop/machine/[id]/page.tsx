import { DoorScreen } from "@/stages/shop/screens/door";

export const metadata = { title: "At the machine" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string; id: string }>;
  searchParams: Promise<{ week?: string }>;
}) {
  const { project, id } = await params;
  return <DoorScreen slug={project} id={id} week={(await searchParams).week} />;
}
