import { RubricScreen } from "@/stages/reviews/screens/rubric";

export const metadata = { title: "Rubric" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ id?: string }>;
}) {
  return <RubricScreen slug={(await params).project} id={(await searchParams).id} />;
}
