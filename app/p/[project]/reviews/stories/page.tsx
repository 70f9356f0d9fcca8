import { StoriesScreen } from "@/stages/reviews/screens/stories";

export const metadata = { title: "Stories" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <StoriesScreen slug={(await params).project} />;
}
