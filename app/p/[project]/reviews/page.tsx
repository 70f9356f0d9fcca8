import { ReviewsScreen } from "@/stages/reviews/screens/reviews";

export const metadata = { title: "Reviews" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <ReviewsScreen slug={(await params).project} />;
}
