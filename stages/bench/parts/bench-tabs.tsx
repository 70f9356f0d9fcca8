import { Tabs } from "@/ui/tabs";

/** The bench's pages. */
export const BenchTabs = ({ slug }: { slug: string }) => (
  <Tabs
    label="Bench"
    pages={[
      { href: `/p/${slug}/bench`, label: "Attempts" },
      { href: `/p/${slug}/bench/class`, label: "Whole class" },
      { href: `/p/${slug}/bench/compare`, label: "Compare" },
      { href: `/p/${slug}/bench/experiment`, label: "Plan an experiment" },
      { href: `/p/${slug}/bench/pilot`, label: "Pilot runs" },
    ]}
  />
);
