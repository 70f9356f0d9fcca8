import { BuildsScreen } from "@/stages/builds/screens/builds";

export const metadata = { title: "Builds" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ team?: string; week?: string }>;
}) {
  const { team, week } = await searchParams;
  return <BuildsScreen slug={(await params).project} team={team} week={week} />;
}
