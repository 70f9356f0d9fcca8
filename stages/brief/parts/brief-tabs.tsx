import { Tabs } from "@/ui/tabs";

export const BriefTabs = ({ slug }: { slug: string }) => (
  <Tabs
    label="Brief"
    pages={[
      { href: `/p/${slug}/brief`, label: "Brief" },
      { href: `/p/${slug}/brief/compare`, label: "Versions" },
      { href: `/p/${slug}/brief/challenge`, label: "Entry challenge" },
    ]}
  />
);
