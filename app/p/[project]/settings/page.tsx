import { SettingsScreen } from "@/stages/plan/screens/settings";

export const metadata = { title: "Settings" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <SettingsScreen slug={(await params).project} />;
}
