import { OpenHandbook } from "@/stages/handbook/screens/open-handbook";

export const metadata = { title: "Handbook" };
export default async function Page({ searchParams }: { searchParams: Promise<{ units?: string }> }) {
  return <OpenHandbook units={(await searchParams).units} />;
}
