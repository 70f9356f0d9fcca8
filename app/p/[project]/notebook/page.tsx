import { MarksBeside } from "@/stages/grades/screens/mark-beside";
import { usesByEntry } from "@/stages/handbook/screens/beside";
import { NotebookScreen } from "@/stages/notebook/screens/notebook";

export const metadata = { title: "Notebook" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ person?: string; section?: string; page?: string; unread?: string }>;
}) {
  const { person, section, page, unread } = await searchParams;
  const slug = (await params).project;
  return (
    <NotebookScreen
      slug={slug}
      person={person}
      section={section}
      page={page}
      unread={unread === "1"}
      beside={(entries) => usesByEntry(slug, entries)}
      mark={async (person) => <MarksBeside slug={slug} person={person} />}
    />
  );
}
