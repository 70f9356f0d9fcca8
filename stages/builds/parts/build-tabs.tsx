import { Tabs } from "@/ui/tabs";

/** The builds' pages. */
export const BuildTabs = ({ slug }: { slug: string }) => (
  <Tabs
    label="Builds"
    pages={[
      { href: `/p/${slug}/builds`, label: "Generations" },
      { href: `/p/${slug}/builds/tree`, label: "Family tree" },
      { href: `/p/${slug}/builds/limits`, label: "Limits" },
      { href: `/p/${slug}/builds/meeting`, label: "Coming together" },
      { href: `/p/${slug}/builds/failures`, label: "Failures" },
    ]}
  />
);
