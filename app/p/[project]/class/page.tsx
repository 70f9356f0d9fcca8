import { waitingIn } from "@/frame/today/waiting";
import { ClassScreen } from "@/stages/today/screens/class";

export const metadata = { title: "Class" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ section?: string; day?: string; part?: string }>;
}) {
  return (
    <ClassScreen
      slug={(await params).project}
      asked={await searchParams}
      waitsIn={async (id, today) => (await waitingIn([id], today, "class")).get(id) ?? []}
    />
  );
}
