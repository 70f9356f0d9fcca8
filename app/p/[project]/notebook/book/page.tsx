import { BookScreen } from "@/stages/notebook/screens/book";

export const metadata = { title: "Notebook" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ person?: string }>;
}) {
  return <BookScreen slug={(await params).project} person={(await searchParams).person} />;
}
