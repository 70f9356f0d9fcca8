import { SafetyScreen } from "@/stages/shop/screens/safety";

export const metadata = { title: "Safety" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <SafetyScreen slug={(await params).project} />;
}
