import { WithdrawnScreen } from "@/stages/records/screens/withdrawn";

export const metadata = { title: "Withdrawn" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <WithdrawnScreen slug={(await params).project} />;
}
