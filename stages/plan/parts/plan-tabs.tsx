import { Tabs } from "@/ui/tabs";

export const PlanTabs = ({ slug }: { slug: string }) => (
  <Tabs
    label="Plan"
    pages={[
      { href: `/p/${slug}/plan`, label: "Tasks and milestones" },
      { href: `/p/${slug}/plan/calendar`, label: "Calendar" },
      { href: `/p/${slug}/plan/gates`, label: "Gates and tools" },
    ]}
  />
);
