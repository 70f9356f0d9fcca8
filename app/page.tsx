import { TodayScreen } from "@/frame/today/screens/today";

export default async function Page({ searchParams }: { searchParams: Promise<{ all?: string }> }) {
  return <TodayScreen all={(await searchParams).all === "1"} />;
}
