import { likenessThreshold } from "@/core/needs/similarity";
import { projectPage } from "@/platform/pages/page";
import { Fold } from "@/ui/fold";
import Link from "@/ui/link";
import { Empty, PageHead, Sheet } from "@/ui/page";
import { statementActs } from "../acts";
import { Unmerge } from "../parts/buttons";
import { DuplicateGroup } from "../parts/duplicate-group";
import { NeedsTabs } from "../parts/needs-tabs";
import { StatementDesk } from "../parts/statement-desk";
import { StatementTools } from "../parts/statement-tools";
import { notesOf } from "../queries/notes";
import { requirementsOf } from "../queries/requirements";
import { lookOver, statementsOf } from "../queries/statements";

export async function StatementsScreen({ slug }: { slug: string }) {
  const { frame, staff } = await projectPage(slug, statementActs.edit);
  const p = frame.project;
  const [all, notes, requirements] = await Promise.all([statementsOf(p.id), notesOf(p.id), requirementsOf(p.id)]);
  const looked = await lookOver(p.id, all);
  const live = all.filter((x) => !x.mergedInto && x.setAside === null);
  const aside = all.filter((x) => x.setAside !== null);
  const choices = requirements.map((r) => ({ value: r.id, label: `${r.code} ${r.statement.slice(0, 60)}` }));
  const open = live.filter((x) => !x.requirementId).length;
  return (
    <>
      <PageHead
        title="Statements"
        note={
          live.length
            ? `${live.length} statements from ${notes.length} notes; ${open} ${open === 1 ? "has" : "have"} not ` +
              "become a requirement yet"
            : "What the notes say, one need in one sentence."
        }
      />
      <NeedsTabs slug={slug} />
      <div className="grid items-start gap-5 xl:grid-cols-[minmax(0,1fr)_380px]">
        <div className="grid min-w-0 gap-4">
          {looked.groups.length > 0 && (
            <Sheet title="Likely the same" aside={`from likeness ${likenessThreshold} on; you decide`}>
              {looked.groups.map((g) => (
                <DuplicateGroup
                  key={g.members.map((m) => m.id).join()}
                  projectId={p.id}
                  members={g.members.map((m) => ({ id: m.id, text: m.text }))}
                  score={g.score}
                  shared={g.shared}
                />
              ))}
            </Sheet>
          )}
          {looked.clashes.length > 0 && (
            <Sheet title="Cannot both hold">
              <ul>
                {looked.clashes.map((c) => (
                  <li key={c.a.id + c.b.id} className="border-b border-line py-1 last:border-0">
                    <span className="font-[600] text-iron">{c.why}</span>
                    <span className="block text-sm text-soft">
                      {c.a.text} · {c.b.text}
                    </span>
                  </li>
                ))}
              </ul>
            </Sheet>
          )}
          {live.length === 0 ? (
            <Empty title="No statement yet">
              Tick the notes that say one thing, write it as one sentence, and save. Every statement keeps the words
              that it came from.
            </Empty>
          ) : (
            <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Statements">
              <table className="table">
                <thead>
                  <tr>
                    <th>Statement</th>
                    <th>In whose words</th>
                    <th>Became</th>
                  </tr>
                </thead>
                <tbody>
                  {live.map((x) => {
                    const vague = looked.vague.get(x.id);
                    const bare = looked.unmeasured.get(x.id);
                    const merged = all.filter((m) => m.mergedInto === x.id);
                    return (
                      <tr key={x.id}>
                        <td className="min-w-60">
                          <p className="font-[600]">{x.text}</p>
                          {vague && !x.requirementId && (
                            <p className="text-sm text-ochre-deep">
                              “{vague.join("”, “")}”: how much is that? Ask for a number.
                            </p>
                          )}
                          {bare && !vague && <p className="text-sm text-ochre-deep">There is {bare}.</p>}
                          {x.asked && <p className="text-sm text-slate">The client is asked about it.</p>}
                          <StatementTools
                            id={x.id}
                            version={x.version}
                            projectId={p.id}
                            text={x.text}
                            requirementId={x.requirementId}
                            requirements={choices}
                            staff={staff}
                            aside={false}
                          />
                          {merged.length > 0 && (
                            <Fold className="text-sm text-soft" label={<>{merged.length} merged into it</>}>
                              <ul>
                                {merged.map((m) => (
                                  <li key={m.id}>
                                    {m.text} <Unmerge id={m.id} />
                                  </li>
                                ))}
                              </ul>
                            </Fold>
                          )}
                        </td>
                        <td className="max-w-80 min-w-52 text-sm text-soft">
                          {x.notes.length === 0 ? (
                            <span className="text-ochre-deep">no words are noted</span>
                          ) : (
                            x.notes.slice(0, 4).map((n) => (
                              <p key={n.id}>
                                “{n.text}”{" "}
                                <Link href={`/p/${slug}/needs/sources/${n.sourceId}`} className="underline">
                                  {n.source}
                                </Link>
                                , {n.author}
                              </p>
                            ))
                          )}
                          {x.notes.length > 4 && <p>and {x.notes.length - 4} more</p>}
                        </td>
                        <td className="whitespace-nowrap">
                          {x.requirement ? (
                            <Link href={`/p/${slug}/needs?r=${x.requirement}`} className="font-[650] hover:text-iron">
                              {x.requirement}
                            </Link>
                          ) : (
                            <span className="text-soft">open</span>
                          )}
                        </td>
                      </tr>
                    );
                  })}
                </tbody>
              </table>
            </div>
          )}
          {aside.length > 0 && (
            <Fold className="text-soft" label={<>{aside.length} set aside</>}>
              <ul>
                {aside.map((x) => (
                  <li key={x.id}>
                    {x.text}: {x.setAside}{" "}
                    <StatementTools
                      id={x.id}
                      version={x.version}
                      projectId={p.id}
                      text={x.text}
                      requirementId={null}
                      requirements={[]}
                      staff={staff}
                      aside
                    />
                  </li>
                ))}
              </ul>
            </Fold>
          )}
        </div>
        <Sheet title="From notes to a statement" className="no-print xl:sticky xl:top-4">
          {notes.length === 0 ? (
            <p className="text-soft">
              No note is written yet.{" "}
              <Link href={`/p/${slug}/needs/sources`} className="underline">
                Begin an interview
              </Link>
            </p>
          ) : (
            <StatementDesk
              projectId={p.id}
              notes={notes.map((n) => ({ id: n.id, text: n.text, author: n.author, source: n.source, used: n.used }))}
            />
          )}
        </Sheet>
      </div>
    </>
  );
}
