import { CuttingScreen } from "@/stages/shop/screens/cutting";

export const metadata = { title: "Cutting" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ build?: string }>;
}) {
  return <CuttingScreen slug={(await params).project} build={(await searchParams).build} />;
}
