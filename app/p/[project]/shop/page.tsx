import { ShopScreen } from "@/stages/shop/screens/shop";

export const metadata = { title: "Shop" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ machine?: string; week?: string }>;
}) {
  const { machine, week } = await searchParams;
  return <ShopScreen slug={(await params).project} machine={machine} week={week} />;
}
