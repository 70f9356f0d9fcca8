import { PeopleScreen } from "@/features/people/screens";

export const metadata = { title: "People" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <PeopleScreen slug={(await params).project} />;
}
