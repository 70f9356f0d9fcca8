import { LinkChoice } from "@/ui/link-choice";

const kinds = {
  event: "Measured, everybody by themselves",
  "matches/edit": "Two at a time, matches",
  "judged/edit": "Marked by judges",
  copy: "Copied from the edition before",
} as const;

/** Which kind of event is set up: each has its own form. */
export const EventKinds = ({ slug, chosen }: { slug: string; chosen: keyof typeof kinds }) => (
  <LinkChoice
    label="Kind of event"
    options={Object.entries(kinds).map(([value, label]) => ({ value, label }))}
    chosen={chosen}
    hrefOf={(kind) => `/p/${slug}/contest/${kind}`}
  />
);
