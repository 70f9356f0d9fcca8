import Link from "@/ui/link";
import { Sheet } from "@/ui/page";
import { Figure } from "@/ui/working";
import type { partsView } from "../view/parts";

/** What a build's parts come to, on its page: the sum, against the weighed whole, and where the mass is. */
export const PartsSheet = ({
  href,
  view,
  mass,
  currency,
}: {
  /** The address of the whole list. */
  href: string;
  view: ReturnType<typeof partsView>;
  /** The unit of masses. */
  mass: string;
  currency: string;
}) => (
  <Sheet
    title="Parts"
    aside={
      <Link href={href} className="underline">
        {view.lines.length ? "the whole list" : "list its parts"}
      </Link>
    }
  >
    {view.lines.length === 0 ? (
      <p className="text-soft">None listed. A list foresees mass and cost before anything is cut.</p>
    ) : (
      <p>
        {view.lines.length} {view.lines.length === 1 ? "part" : "parts"}
        {view.mass.shown && (
          <>
            , together{" "}
            <Figure unit={mass} working={view.mass.working}>
              {view.mass.shown}
            </Figure>
          </>
        )}
        {view.cost.shown && (
          <>
            {" "}
            for{" "}
            <Figure unit={currency} working={view.cost.working}>
              {view.cost.shown}
            </Figure>
          </>
        )}
        .{view.against && ` Weighed against it: ${view.against}.`}
        {view.heaviest.length > 0 && (
          <span className="block text-sm text-soft">
            most of the mass: {view.heaviest.map((h) => `${h.name} ${h.share} %`).join(", ")}
          </span>
        )}
      </p>
    )}
  </Sheet>
);
