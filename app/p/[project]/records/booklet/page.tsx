import { ClassBookletScreen } from "@/frame/whole/screens/class-booklet";

export const metadata = { title: "Booklet of the class" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <ClassBookletScreen slug={(await params).project} />;
}
