import { likenessThreshold } from "@/core/needs/similarity";
import { projectPage } from "@/platform/pages/page";
import { Fold } from "@/ui/fold";
import Link from "@/ui/link";
import { Empty, PageHead, Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { statementActs } from "../acts";
import { DuplicateGroup } from "../parts/duplicate-group";
import { NeedsTabs } from "../parts/needs-tabs";
import { StatementText, StatementWords } from "../parts/statement-cells";
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
      <NeedsTabs slug={slug} staff={staff} />
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
            <DataTable
              caption="Statements"
              columns={[
                { key: "text", text: "Statement", className: "min-w-60 wrap-anywhere" },
                { key: "words", text: "In whose words", className: "max-w-80 min-w-52 wrap-anywhere" },
                { key: "became", text: "Became", className: "whitespace-nowrap" },
              ]}
              rows={live.map((x) => ({
                id: x.id,
                cells: {
                  text: {
                    value: x.text,
                    show: (
                      <StatementText
                        statement={x}
                        vague={looked.vague.get(x.id)}
                        bare={looked.unmeasured.get(x.id)}
                        merged={all.filter((m) => m.mergedInto === x.id)}
                        projectId={p.id}
                        requirements={choices}
                        staff={staff}
                      />
                    ),
                  },
                  words: {
                    value: x.notes.map((n) => `${n.text} (${n.source}, ${n.author})`).join("; "),
                    show: <StatementWords slug={slug} notes={x.notes} />,
                  },
                  became: {
                    value: x.requirement ?? "open",
                    show: x.requirement ? (
                      <Link href={`/p/${slug}/needs?r=${x.requirement}`} className="font-[650] hover:text-iron">
                        {x.requirement}
                      </Link>
                    ) : (
                      <span className="text-soft">open</span>
                    ),
                  },
                },
              }))}
            />
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
