import { plural } from "@/platform/registry/words";
import { Fold } from "@/ui/fold";
import Link from "@/ui/link";
import { Measured } from "@/ui/measured";
import { Figure } from "@/ui/working";
import type { toldOfBuilds } from "../queries/board";
import type { Holder, RecordLine } from "../view/board";

type Told = Awaited<ReturnType<typeof toldOfBuilds>>[number];

/** The record of each measure: its holder with the build's settings and picture, and how it came there. */
export function RecordsBoard({
  lines,
  told,
  opens,
  dated,
}: {
  lines: readonly RecordLine[];
  told: readonly Told[];
  /** Whether the reader may open an edition. */
  opens: (projectId: string) => boolean;
  dated: (iso: string) => string;
}) {
  const name = (h: Holder) =>
    opens(h.edition.id) ? (
      <Link href={`/p/${h.edition.slug}/builds/${h.buildId}`} className="font-[600] hover:text-iron">
        {h.name}
      </Link>
    ) : (
      <span className="font-[600]">{h.name}</span>
    );
  return (
    <ul className="grid gap-4">
      {lines.map((l) => {
        const of = told.find((t) => t.id === l.holder.buildId);
        return (
          <li key={l.key} className="grid gap-x-5 border-t border-line pt-2 sm:grid-cols-[9rem_1fr_auto]">
            <div>
              <p className="text-soft">
                <Measured name={l.channel.name} unit="1" />
              </p>
              <Figure big unit={l.channel.unit} working={l.working}>
                {l.holder.shown}
              </Figure>
            </div>
            <div className="min-w-0 wrap-anywhere">
              <p>
                {name(l.holder)}{" "}
                <span className="text-soft">
                  {l.holder.edition.title}
                  {l.holder.section && `, section ${l.holder.section}`} · {l.holder.place}, since {dated(l.holder.on)} (
                  {plural(l.days, "day")}) · best of {plural(l.holder.runs, "run")}
                </span>
              </p>
              {l.beat && <p className="text-sm">{l.beat}</p>}
              {of && (of.settings.length > 0 || of.features.length > 0) && (
                <p className="text-sm text-soft">
                  {[...of.settings.map((s) => `${s.name} ${s.value}`), ...of.features].join(" · ")}
                </p>
              )}
              <Fold
                labelClass="text-sm text-soft"
                label={`Set ${plural(l.steps.length, "time")}, by edition and by class`}
              >
                <div className="mt-1 grid gap-x-6 gap-y-3 text-sm md:grid-cols-3">
                  <div>
                    <h3 className="font-[650]">From hand to hand</h3>
                    <ul>
                      {l.steps.map((s) => (
                        <li key={s.holder.buildId}>
                          <span className="tabular-nums">{s.holder.shown}</span> {name(s.holder)}, {dated(s.holder.on)}
                          {s.by && `, by ${s.by}`}
                          {s.until && <span className="text-soft">, until {dated(s.until)}</span>}
                        </li>
                      ))}
                    </ul>
                  </div>
                  <div>
                    <h3 className="font-[650]">By edition</h3>
                    <ul>
                      {l.editions.map((h) => (
                        <li key={h.edition.id}>
                          <span className="tabular-nums">{h.shown}</span> {name(h)}, {h.edition.title}
                        </li>
                      ))}
                    </ul>
                  </div>
                  <div>
                    <h3 className="font-[650]">By class</h3>
                    <ul>
                      {l.classes.map((c) => (
                        <li key={c.name}>
                          <span className="tabular-nums">{c.holder.shown}</span> {name(c.holder)}, {c.name}
                        </li>
                      ))}
                    </ul>
                  </div>
                </div>
              </Fold>
            </div>
            {of?.picture && opens(l.holder.edition.id) && (
              <img
                src={`/api/file/${of.picture}`}
                alt={`${l.holder.name}, ${l.holder.edition.title}`}
                className="h-20 w-28 rounded-sm object-cover"
                loading="lazy"
              />
            )}
          </li>
        );
      })}
    </ul>
  );
}
