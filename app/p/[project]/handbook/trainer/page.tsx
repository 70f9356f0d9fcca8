import { TrainerScreen } from "@/stages/handbook/screens/trainer";

export const metadata = { title: "Trainer" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ kind?: string; of?: string; seed?: string }>;
}) {
  const { kind, of, seed } = await searchParams;
  return <TrainerScreen slug={(await params).project} kind={kind} of={of} seed={seed} />;
}
