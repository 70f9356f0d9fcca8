import { NewProjectScreen } from "@/frame/school/screens/new-project";

export const metadata = { title: "New project" };
export default function Page() {
  return <NewProjectScreen />;
}
