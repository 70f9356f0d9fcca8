import { ReviewScreen } from "@/stages/reviews/screens/review";

export const metadata = { title: "Review" };
export default async function Page({ params }: { params: Promise<{ project: string; id: string }> }) {
  const { project, id } = await params;
  return <ReviewScreen slug={project} id={id} />;
}
