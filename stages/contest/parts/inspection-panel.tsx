import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import { Empty, Sheet } from "@/ui/page";
import type { Entered } from "../queries/inspections";
import type { InspectionLine } from "../view/inspection";
import { entered, nextToInspect } from "../view/inspection-list";
import { InspectionHistory } from "./inspection-history";
import { InspectionSheet } from "./inspection-sheet";
import { ReleaseForm } from "./release-form";

/** Every build that enters, with how it stands, and the sheet of the one that is being inspected. */
export function InspectionPanel({
  builds,
  chosen,
  lines,
  hrefOf,
  via,
  open,
  staff,
}: {
  builds: readonly Entered[];
  chosen: Entered | null;
  lines: readonly InspectionLine[];
  hrefOf: (buildId: string) => string;
  via?: "guest";
  /** Something may be inspected: who looks on, and a finished contest, see the record alone. */
  open: boolean;
  staff: boolean;
}) {
  if (!chosen)
    return (
      <Empty title="No build enters an event yet">
        Set up an event: every team enters with its newest build, which is then inspected here, once for all events.
      </Empty>
    );
  const next = nextToInspect(builds, chosen.buildId);
  const last = chosen.inspections[0];
  const name = `${chosen.team} G${chosen.build}`;
  const impounded = chosen.state === "passed" && last?.outcome === "passed";
  return (
    <div className="grid items-start gap-x-6 gap-y-4 lg:grid-cols-[210px_minmax(0,1fr)]">
      <nav aria-label="Builds">
        <ul className="flex flex-wrap gap-x-4 lg:grid">
          {builds.map((b) => (
            <li key={b.buildId}>
              <Link
                href={hrefOf(b.buildId)}
                aria-current={b.buildId === chosen.buildId ? "page" : undefined}
                className={cx(
                  "grid border-l-4 py-1.5 pl-2.5",
                  b.buildId === chosen.buildId ? "border-iron" : "border-transparent hover:border-line",
                )}
              >
                <span className="font-[600]">
                  {b.team} <span className="text-sm font-normal text-soft">G{b.build}</span>
                </span>
                <span className={cx("text-sm", b.state === "waiting" ? "text-ochre-deep" : "text-soft")}>
                  {entered(b)}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      </nav>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
        <Sheet title={name} aside={entered(chosen)}>
          {impounded && (
            <div className="mb-2">
              It is impounded: nothing is changed on it any more, or it is inspected again.{" "}
              {open && <ReleaseForm key={last.number} buildId={chosen.buildId} after={last.number} via={via} />}
            </div>
          )}
          {open && lines.length === 0 && (
            <p className="mb-2 text-soft">
              The register has no limit on a build and nothing that is verified by inspection: look whether it is safe.
            </p>
          )}
          {open ? (
            <InspectionSheet
              key={`${chosen.buildId} ${last?.number ?? 0}`}
              build={{ id: chosen.buildId, name, after: last?.number ?? 0 }}
              lines={lines}
              next={next && { name: next.team, href: hrefOf(next.buildId) }}
            />
          ) : (
            chosen.inspections.length === 0 && <p className="text-soft">It has not been inspected.</p>
          )}
        </Sheet>
        {chosen.inspections.length > 0 && (
          <Sheet title="On record">
            <InspectionHistory inspections={chosen.inspections} staff={staff && open} />
          </Sheet>
        )}
      </div>
    </div>
  );
}
