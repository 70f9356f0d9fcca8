import { editionChange } from "@/core/vocabulary/project";
import { fullDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { plural } from "@/platform/registry/words";
import { protocolsOf } from "@/stages/bench/queries/runs";
import Link from "@/ui/link";
import { LinkChoice } from "@/ui/link-choice";
import { Measured } from "@/ui/measured";
import { Empty, PageHead } from "@/ui/page";
import { RecordsTabs } from "../parts/records-tabs";
import { buildBests } from "../queries/board";
import { alike, editionRows } from "../queries/editions";
import { editionsBefore } from "../queries/records";
import { editionChanges, editionCounts, measureLines } from "../view/editions";
import { measuresOf, recordedLines } from "../view/records";

const named = "text-left align-top font-[600]";

/** Editions side by side: what came of them, what they reached, and what changed between two of them. */
export async function EditionsScreen({ slug, against }: { slug: string; against?: string }) {
  const { frame, actor, staff } = await projectPage(slug);
  const p = frame.project;
  const [protocols, before] = await Promise.all([protocolsOf(p.id), editionsBefore(p.id)]);
  const line = [p.id as string, ...before.map((e) => e.id)];
  const names = protocols.map((o) => o.name);
  const others = staff ? await alike(actor.id, line, names) : [];
  const guest = others.find((e) => e.slug === against);
  const ids = guest ? [...line, guest.id as string] : line;
  const lines = recordedLines(protocols);
  const [editions, bests] = await Promise.all([editionRows(ids), buildBests(ids, measuresOf(lines))]);
  const [now, ...older] = editions;
  const other = older.find((e) => e.slug === against) ?? older[0];
  const reached = measureLines(lines, bests);
  const choice = before.length + others.length > (other ? 1 : 0) && (
    <div className="my-3">
      <LinkChoice
        label="Compare with"
        options={[...before, ...others].map((e) => ({ value: e.slug, label: e.title }))}
        chosen={other?.slug ?? ""}
        hrefOf={(s) => `/p/${slug}/records/editions?against=${s}`}
      />
    </div>
  );
  return (
    <>
      <PageHead title="Editions" note={`${plural(editions.length, "edition")} side by side, the newest first`} />
      <RecordsTabs slug={slug} />
      <div className="table-room" tabIndex={0} role="region" aria-label="Editions side by side">
        <table className="table">
          <thead>
            <tr>
              <th aria-label="What" />
              {editions.map((e) => (
                <th key={e.id} scope="col">
                  {actor.projects[e.id] ? (
                    <Link href={`/p/${e.slug}/records`} className="hover:text-iron">
                      {e.title}
                    </Link>
                  ) : (
                    e.title
                  )}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <tr>
              <th scope="row" className={named}>
                Days
              </th>
              {editions.map((e) => (
                <td key={e.id}>
                  {fullDate(e.startsOn)} to {fullDate(e.endsOn)}
                </td>
              ))}
            </tr>
            {editionCounts.map((c) => (
              <tr key={c.label}>
                <th scope="row" className={named}>
                  {c.label}
                </th>
                {editions.map((e) => (
                  <td key={e.id} className="tabular-nums">
                    {c.of(e)}
                  </td>
                ))}
              </tr>
            ))}
            {reached.map((l) => (
              <tr key={l.key}>
                <th scope="row" className={named}>
                  <Measured name={l.name} unit={l.unit} />
                </th>
                {editions.map((e) => {
                  const x = l.of[e.id];
                  return (
                    <td key={e.id} className="tabular-nums">
                      {x ? (
                        <>
                          <span className="font-[650]">{x.best}</span> <span className="text-soft">{x.by}</span>
                          <span className="block text-sm text-soft">
                            median {x.median} of {plural(x.builds, "build")}
                          </span>
                        </>
                      ) : (
                        <span className="text-soft">–</span>
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {now && other ? (
        <section aria-labelledby="changed" className="mt-6">
          <h2 id="changed" className="mb-1.5">
            What changed {guest ? "against" : "since"} {other.title}
          </h2>
          {choice}
          <div className="gap-x-8 lg:columns-2">
            {editionChanges(other, now, staff).map((part) => (
              <section key={part.title} aria-label={part.title} className="mb-5">
                <h3 className="font-[650]">
                  <Link href={`/p/${slug}${part.path}`} className="hover:text-iron">
                    {part.title}
                  </Link>{" "}
                  <span className="font-[400] text-soft">
                    {part.changes.length === 0 ? "nothing changed" : `${part.same} as before`}
                  </span>
                </h3>
                <ul>
                  {part.changes.map((c) => (
                    <li key={c.kind + c.name} className="border-t border-line py-1.5 wrap-anywhere">
                      <span className="font-[600]">{c.name}</span>{" "}
                      <span className="text-soft">{editionChange.labels[c.kind]}</span>
                      {c.facts.length > 0 && (
                        <dl className="grid grid-cols-[minmax(6rem,auto)_1fr] gap-x-3 text-sm">
                          {c.facts.map((f) => (
                            <div key={f.what} className="contents">
                              <dt className="text-soft">{f.what}</dt>
                              <dd>
                                <del className="text-soft">{f.before || "not there"}</del>{" "}
                                <ins className="no-underline">{f.after || "no more"}</ins>
                              </dd>
                            </div>
                          ))}
                        </dl>
                      )}
                    </li>
                  ))}
                </ul>
              </section>
            ))}
          </div>
        </section>
      ) : (
        <div className="mt-6">
          <Empty title="This is the first edition">
            Finish the project and begin the next edition from Records: what changed between them stands here then.
          </Empty>
          {choice}
        </div>
      )}
    </>
  );
}
