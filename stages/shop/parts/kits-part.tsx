import type { Option } from "@/ui/option";
import type { Kit, KitOut } from "../queries/stock";
import { missingOf, writeContents } from "../view/kits";
import { CountKit, EditKit, HandOut, NewKit } from "./kit-forms";

/** The kits, who has one, and what came back. */
export function KitsPart({
  projectId,
  kits,
  out,
  teams,
  keeps,
  dated,
}: {
  projectId: string;
  kits: readonly Kit[];
  out: readonly KitOut[];
  teams: readonly Option[];
  keeps: boolean;
  dated: (iso: string) => string;
}) {
  if (!kits.length && !keeps) return null;
  return (
    <section aria-labelledby="kits">
      <h2 id="kits" className="mb-2">
        Kits
      </h2>
      <div className="grid gap-x-8 gap-y-4 md:grid-cols-2">
        {kits.map((k) => {
          const mine = out.filter((o) => o.kitId === k.id);
          const has = new Set(mine.filter((o) => !o.backOn).map((o) => o.teamId as string));
          return (
            <div key={k.id} className="border-t border-line pt-2">
              <p>
                <strong className="font-[650]">{k.name}</strong>{" "}
                <span className="text-sm text-soft">{k.contents.map((l) => `${l.count} × ${l.name}`).join(", ")}</span>
              </p>
              <ul className="mt-1">
                {mine.map((o) => {
                  const missing = o.counted ? missingOf(o.contents, o.counted) : [];
                  return (
                    <li key={o.id} className="text-sm">
                      {o.team}: out since {dated(o.outOn)}
                      {o.backOn && `, back ${dated(o.backOn)}`}
                      {o.counted &&
                        (missing.length ? (
                          <span className="text-iron">, missing {missing.join(", ")}</span>
                        ) : (
                          <span className="text-moss">, complete</span>
                        ))}
                      {o.note && `, ${o.note}`}{" "}
                      {keeps && (
                        <CountKit id={o.id} version={o.version} lines={o.contents} counted={o.counted} note={o.note} />
                      )}
                    </li>
                  );
                })}
              </ul>
              {keeps && (
                <p className="mt-1 flex flex-wrap gap-x-3 text-sm">
                  <HandOut kitId={k.id} teams={teams.filter((t) => !has.has(t.value))} />
                  <EditKit
                    projectId={projectId}
                    id={k.id}
                    version={k.version}
                    name={k.name}
                    contents={writeContents(k.contents)}
                  />
                </p>
              )}
            </div>
          );
        })}
      </div>
      {keeps && (
        <div className="mt-3">
          <NewKit projectId={projectId} />
        </div>
      )}
    </section>
  );
}
