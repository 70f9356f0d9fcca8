import { ImportScreen } from "@/frame/school/screens/import";

export const metadata = { title: "Import a project" };
export default function Page() {
  return <ImportScreen />;
}
