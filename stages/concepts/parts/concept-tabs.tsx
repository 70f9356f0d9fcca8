import { Tabs } from "@/ui/tabs";

export const ConceptTabs = ({ slug }: { slug: string }) => (
  <Tabs
    label="Concepts"
    pages={[
      { href: `/p/${slug}/concepts`, label: "Concepts" },
      { href: `/p/${slug}/concepts/choose`, label: "Choosing" },
    ]}
  />
);
