import { headed } from "@/core/run/reading";
import { instant } from "@/platform/pages/dates";
import { Measured } from "@/ui/measured";
import type { Option } from "@/ui/option";
import { DataTable } from "@/ui/table";
import { tip } from "@/ui/tip";
import { VerdictMark } from "@/ui/verdict";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import type { Protocol } from "../queries/runs";
import { type BenchView, correctable } from "../view/bench";
import { AttemptEntry } from "./attempt-entry";
import { RunSeen } from "./run-seen";
import { RunTools } from "./run-tools";

/** The attempts of a build under a protocol, and the row in which the next one is entered. */
export function AttemptsTable({
  slug,
  view,
  protocol,
  buildId,
  mine,
  staff,
  open,
  builds,
}: {
  slug: string;
  view: BenchView;
  protocol: Protocol;
  buildId: string;
  mine: boolean;
  staff: boolean;
  open: boolean;
  /** The other builds of the project. */
  builds: Option[];
}) {
  const d = protocol.definition;
  const names = correctable(d);
  const read = new Set(d.measures.map((m) => m.key));
  return (
    <DataTable
      caption="Attempts"
      empty="No attempt yet."
      columns={[
        { key: "attempt", text: "Attempt" },
        ...view.channels.map((c) => ({
          key: `channel ${c.key}`,
          text: headed(c),
          label: <Measured name={c.name} unit={c.unit} />,
          num: true,
        })),
        { key: "verdict", text: "Verdict", className: "max-w-72" },
      ]}
      rows={view.rows.map(({ run: r, assessed: a, far, typed }) => ({
        id: r.id,
        className: a.comparable ? undefined : "text-[#7b7166]",
        cells: {
          attempt: { value: r.attempt, show: <span {...tip(`${r.by}, ${instant(r.at)}`)}>{r.attempt}</span> },
          ...Object.fromEntries(
            view.channels.map((c) => {
              const v = a.values[c.key]?.value;
              return [
                `channel ${c.key}`,
                v
                  ? {
                      value: v.value,
                      show: read.has(c.key) ? (
                        v.shown
                      ) : (
                        <Figure working={workingAt(slug, "run", { run: r.id, build: buildId, key: c.key })}>
                          {v.shown}
                        </Figure>
                      ),
                    }
                  : null,
              ];
            }),
          ),
          verdict: {
            value: a.comparable ? "counts" : a.reasons.join("; "),
            show: (
              <div className="flex flex-wrap items-start justify-between gap-x-3">
                <span className="flex items-start gap-1.5">
                  <VerdictMark verdict={a.comparable ? "met" : "not applicable"} />
                  <span>
                    {a.comparable ? "counts" : a.reasons.join("; ")}
                    {far && (
                      <span className="block text-sm text-ochre-deep">
                        stands far from the others: look at it before you trust it
                      </span>
                    )}
                    {(r.note || r.photos.length > 0) && <RunSeen note={r.note} photos={r.photos} mine={mine} />}
                    {a.alarms.map((x) => (
                      <span key={x} className="block text-sm text-iron">
                        {x}
                      </span>
                    ))}
                  </span>
                </span>
                {mine && (
                  <RunTools
                    id={r.id}
                    version={r.version}
                    state={r.state}
                    note={r.note}
                    staff={staff}
                    typed={typed}
                    names={names}
                    builds={builds}
                  />
                )}
              </div>
            ),
          },
        },
      }))}
      foot={
        mine &&
        open && (
          <AttemptEntry
            // What is half typed belongs to this build and version: it does not move to the next one that is opened.
            key={`${buildId} ${protocol.versionId}`}
            buildId={buildId}
            protocolVersionId={protocol.versionId}
            next={view.next}
            measures={d.measures}
            conditions={d.conditions}
            before={view.ghost}
            derived={d.derived.length}
            lead={2 + view.channels.length}
          />
        )
      }
    />
  );
}
