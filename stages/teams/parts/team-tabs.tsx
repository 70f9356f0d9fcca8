import { Tabs } from "@/ui/tabs";

export const TeamTabs = ({ slug, staff }: { slug: string; staff: boolean }) => (
  <Tabs
    label="Teams"
    pages={[
      { href: `/p/${slug}/teams`, label: "Teams and roles" },
      { href: `/p/${slug}/teams/parts`, label: "Parts and owners" },
      staff
        ? { href: `/p/${slug}/teams/form`, label: "Forming" }
        : { href: `/p/${slug}/teams/wishes`, label: "My wishes" },
    ]}
  />
);
