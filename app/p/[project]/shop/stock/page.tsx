import { StockScreen } from "@/stages/shop/screens/stock";

export const metadata = { title: "Stock" };
export default async function Page({ params }: { params: Promise<{ project: string }> }) {
  return <StockScreen slug={(await params).project} />;
}
