import { WishesScreen } from "@/stages/teams/screens/wishes";

export const metadata = { title: "My wishes" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <WishesScreen slug={(await params).project} />;
}
