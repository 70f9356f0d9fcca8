import { HandbookBeside } from "@/stages/handbook/screens/beside";
import { NeedsScreen } from "@/stages/needs/screens/needs";

export const metadata = { title: "Requirements" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ r?: string; filter?: string }>;
}) {
  const { r, filter } = await searchParams;
  const slug = (await params).project;
  return (
    <NeedsScreen
      slug={slug}
      open={r}
      filter={filter}
      beside={r && <HandbookBeside slug={slug} kind="requirement" named={r} />}
    />
  );
}
