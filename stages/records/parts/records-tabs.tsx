import { Tabs } from "@/ui/tabs";

/** The pages of the record. */
export const RecordsTabs = ({ slug }: { slug: string }) => (
  <Tabs
    label="Records"
    pages={[
      { href: `/p/${slug}/records`, label: "Board" },
      { href: `/p/${slug}/records/editions`, label: "Editions" },
      { href: `/p/${slug}/records/features`, label: "Features" },
      { href: `/p/${slug}/records/cures`, label: "Faults and cures" },
      { href: `/p/${slug}/records/models`, label: "Kept models" },
      { href: `/p/${slug}/records/guides`, label: "Build guides" },
      { href: `/p/${slug}/records/honours`, label: "Honours" },
      { href: `/p/${slug}/records/withdrawn`, label: "Withdrawn" },
    ]}
  />
);
