import { PeopleScreen } from "@/stages/people/screens/people";

export const metadata = { title: "People" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <PeopleScreen slug={(await params).project} />;
}
