import { NewProjectScreen } from "@/frame/school/screens/new-project";

export const metadata = { title: "New project" };
export default async function Page({ searchParams }: { searchParams: Promise<{ kind?: string }> }) {
  return <NewProjectScreen kind={(await searchParams).kind} />;
}
