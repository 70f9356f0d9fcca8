import { Tabs } from "@/ui/tabs";

/** The pages of the shop. */
export const ShopTabs = ({ slug }: { slug: string }) => (
  <Tabs
    label="Shop"
    pages={[
      { href: `/p/${slug}/shop`, label: "Machines" },
      { href: `/p/${slug}/shop/training`, label: "Training" },
      { href: `/p/${slug}/shop/safety`, label: "Safety" },
      { href: `/p/${slug}/shop/stock`, label: "Stock and kits" },
      { href: `/p/${slug}/shop/cutting`, label: "Cutting" },
      { href: `/p/${slug}/shop/settings`, label: "Settings that were tried" },
    ]}
  />
);
