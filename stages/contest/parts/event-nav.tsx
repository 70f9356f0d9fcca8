import { LinkChoice } from "@/ui/link-choice";

/** The events of a contest, whatever their format, each on the page that shows it; and all of them as one ranking. */
export const EventNav = ({
  slug,
  events,
  chosen,
}: {
  slug: string;
  events: readonly { id: string; name: string; format: string }[];
  /** An event, or `overall`. */
  chosen: string;
}) =>
  events.length > 1 && (
    <LinkChoice
      label="Event"
      options={[...events.map((e) => ({ value: e.id, label: e.name })), { value: "overall", label: "Overall" }]}
      chosen={chosen}
      hrefOf={(id) =>
        id === "overall" ? `/p/${slug}/contest/overall` : eventHref(slug, events.find((e) => e.id === id)!)
      }
    />
  );

/** Where an event is shown. */
export const eventHref = (slug: string, event: { id: string; format: string }): string =>
  `/p/${slug}/contest${event.format === "attempts" ? "" : "/matches"}?event=${event.id}`;
