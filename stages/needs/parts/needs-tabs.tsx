import { Tabs } from "@/ui/tabs";

export const NeedsTabs = ({ slug }: { slug: string }) => (
  <Tabs
    label="Needs"
    pages={[
      { href: `/p/${slug}/needs`, label: "Register" },
      { href: `/p/${slug}/needs/questions`, label: "Questions" },
      { href: `/p/${slug}/needs/sources`, label: "Interviews and sources" },
      { href: `/p/${slug}/needs/statements`, label: "Statements" },
      { href: `/p/${slug}/needs/changes`, label: "Baseline and changes" },
    ]}
  />
);
