import { NotebookScreen } from "@/stages/notebook/screens/notebook";

export const metadata = { title: "Notebook" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ person?: string; section?: string; page?: string }>;
}) {
  const { person, section, page } = await searchParams;
  return <NotebookScreen slug={(await params).project} person={person} section={section} page={page} />;
}
