import { Tabs } from "@/ui/tabs";

export const NeedsTabs = ({ slug, staff }: { slug: string; staff: boolean }) => (
  <Tabs
    label="Needs"
    pages={[
      { href: `/p/${slug}/needs`, label: "Register" },
      { href: `/p/${slug}/needs/questions`, label: "Questions" },
      { href: `/p/${slug}/needs/sources`, label: "Interviews and sources" },
      { href: `/p/${slug}/needs/statements`, label: "Statements" },
      { href: `/p/${slug}/needs/changes`, label: "Baseline and changes" },
      ...(staff ? [{ href: `/p/${slug}/needs/inspection`, label: "Inspection" }] : []),
    ]}
  />
);
