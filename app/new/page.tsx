import { NewProjectScreen } from "@/features/school/screens";

export const metadata = { title: "New project" };
export default function Page() {
  return <NewProjectScreen />;
}
