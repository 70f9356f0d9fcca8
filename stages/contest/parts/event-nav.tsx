import { LinkChoice } from "@/ui/link-choice";

/** The pages of a contest that are no event's: each an address below the contest's. */
const pages = {
  programme: "Programme",
  inspection: "Inspection",
  overall: "Overall",
  papers: "On paper",
  steward: "Steward",
  boards: "Boards",
} as const;
type PageOf = keyof typeof pages;

const isPage = (id: string): id is PageOf => id in pages;

/**
 * The programme, the inspection, the events of a contest, whatever their format, each on the page that shows it, all
 * of them as one ranking, and the boards.
 */
export const EventNav = ({
  slug,
  events,
  chosen,
  staff = false,
}: {
  slug: string;
  events: readonly { id: string; name: string; format: string }[];
  /** An event, or one of the other pages. */
  chosen: string;
  /** Whether who looks may choose what the boards show. */
  staff?: boolean;
}) =>
  events.length > 0 && (
    <LinkChoice
      label="Event"
      options={[
        { value: "programme", label: pages.programme },
        { value: "inspection", label: pages.inspection },
        // As they were set up, on every page alike.
        ...events.toSorted((a, b) => (a.id < b.id ? -1 : 1)).map((e) => ({ value: e.id, label: e.name })),
        ...(events.length > 1 ? [{ value: "overall", label: pages.overall }] : []),
        { value: "papers", label: pages.papers },
        ...(staff
          ? [
              { value: "steward", label: pages.steward },
              { value: "boards", label: pages.boards },
            ]
          : []),
      ]}
      chosen={chosen}
      hrefOf={(id) => (isPage(id) ? `/p/${slug}/contest/${id}` : eventHref(slug, events.find((e) => e.id === id)!))}
    />
  );

/** Where an event is shown. */
export const eventHref = (slug: string, event: { id: string; format: string }): string =>
  `/p/${slug}/contest${pathOf(event.format)}?event=${event.id}`;

const pathOf = (format: string): string => (format === "attempts" ? "" : format === "judged" ? "/judged" : "/matches");
