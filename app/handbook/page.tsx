import { OpenHandbook } from "@/stages/handbook/screens/open-handbook";

export const metadata = { title: "Handbook" };
export default function Page() {
  return <OpenHandbook />;
}
