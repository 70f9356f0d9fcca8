import { ImportScreen } from "@/features/school/screens";

export const metadata = { title: "Import a project" };
export default function Page() {
  return <ImportScreen />;
}
