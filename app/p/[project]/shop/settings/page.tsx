import { SettingsScreen } from "@/stages/shop/screens/settings";

export const metadata = { title: "Machine settings" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <SettingsScreen slug={(await params).project} />;
}
