import { notFound } from "next/navigation";
import { likenessThreshold } from "@/core/needs/similarity";
import { lookOver, notesOf, questionsOf, sourcesOf, statementsOf } from "@/data/interviews";
import { requirementsOf } from "@/data/needs";
import { studentsOf } from "@/data/people";
import { projectPage } from "@/server/page";
import { fullDate, instant, shortDate } from "@/ui/date";
import Link from "@/ui/link";
import { Empty, PageHead, Sheet } from "@/ui/page";
import {
  CloseSource,
  DuplicateGroup,
  QuestionBank,
  QuestionForm,
  RestoreQuestion,
  SessionBoard,
  SourceForm,
  StatementDesk,
  StatementTools,
  Unmerge,
} from "./interview-forms";
import { NeedsTabs } from "./tabs";

const kinds = {
  interview: "Interview",
  observation: "Observation",
  product: "Existing product",
  answer: "Client's answer",
} as const;

export async function QuestionsScreen({ slug }: { slug: string }) {
  const { frame, staff } = await projectPage(slug, "question.draft");
  const p = frame.project;
  const [all, students] = await Promise.all([questionsOf(p.id), studentsOf(p.id)]);
  const list = all.filter((q) => !q.mergedInto && !q.dropped);
  const dropped = all.filter((q) => q.dropped);
  return (
    <>
      <PageHead
        title="Questions"
        note={
          list.length
            ? `${list.length} questions, ${all.length - dropped.length - list.length} drafts merged into them; ` +
              `${list.filter((q) => !q.asker && !q.forClient).length} without somebody who asks`
            : "What the class wants to know of the client."
        }
      />
      <NeedsTabs slug={slug} />
      <div className="mb-4">
        <QuestionForm projectId={p.id} />
      </div>
      {list.length === 0 ? (
        <Empty title="No question yet">
          Everybody drafts questions for the client. The class then merges those that ask the same, puts them in order,
          and agrees who asks which. Ask for numbers: how heavy, how often, how long, how much.
        </Empty>
      ) : (
        <QuestionBank
          projectId={p.id}
          staff={staff}
          people={students.map((s) => ({ value: s.id, label: s.name }))}
          list={list.map((q) => ({ ...q, merged: all.filter((m) => m.mergedInto === q.id) }))}
        />
      )}
      {staff && dropped.length > 0 && (
        <details className="mt-4 text-soft">
          <summary>{dropped.length} dropped</summary>
          <ul>
            {dropped.map((q) => (
              <li key={q.id}>
                {q.text} <RestoreQuestion id={q.id} />
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

export async function SourcesScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, "note.write");
  const sources = await sourcesOf(frame.project.id);
  return (
    <>
      <PageHead
        title="Interviews and sources"
        note="Where the needs come from: what people said, what was watched, what exists already."
      />
      <NeedsTabs slug={slug} />
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_330px]">
        {sources.length === 0 ? (
          <Empty title="No source yet">
            Begin an interview: everybody opens it on the own screen and types notes under each question. Or note what
            you saw when you watched somebody at work, or what an existing product does.
          </Empty>
        ) : (
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Sources">
            <table className="table">
              <thead>
                <tr>
                  <th>Source</th>
                  <th>Kind</th>
                  <th>On</th>
                  <th>With</th>
                  <th className="num">Notes</th>
                  <th>State</th>
                </tr>
              </thead>
              <tbody>
                {sources.map((s) => (
                  <tr key={s.id}>
                    <td className="min-w-52 font-[600]">
                      <Link href={`/p/${slug}/needs/sources/${s.id}`} className="hover:text-iron">
                        {s.title}
                      </Link>
                    </td>
                    <td>{kinds[s.kind]}</td>
                    <td className="whitespace-nowrap">{shortDate(s.heldOn)}</td>
                    <td>{s.who || "–"}</td>
                    <td className="num">{s.notes}</td>
                    <td>{s.closedAt ? "closed" : "open"}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
        <Sheet title="A new source">
          <SourceForm projectId={frame.project.id} slug={slug} today={frame.today} />
        </Sheet>
      </div>
    </>
  );
}

export async function SourceScreen({ slug, id }: { slug: string; id: string }) {
  const { frame, staff, actor } = await projectPage(slug, "note.write");
  const p = frame.project;
  const [sources, questions] = await Promise.all([sourcesOf(p.id), questionsOf(p.id)]);
  const s = sources.find((x) => x.id === id);
  if (!s) notFound();
  const notes = await notesOf(p.id, id);
  // What was drafted after a session was closed was not asked in it, and what stands on the client's page is answered
  // there.
  const asked = questions.filter(
    (q) =>
      (s.kind === "interview" &&
        !q.mergedInto &&
        !q.dropped &&
        (s.closedAt ? q.createdAt < s.closedAt : !q.forClient)) ||
      notes.some((n) => n.questionId === q.id),
  );
  const hands = new Set(notes.map((n) => n.author));
  return (
    <>
      <PageHead
        title={s.title}
        note={
          `${kinds[s.kind]} · ${fullDate(s.heldOn)}${s.who ? ` · ${s.who}` : ""} · ${notes.length} notes from ` +
          `${hands.size} ${hands.size === 1 ? "hand" : "hands"}`
        }
      >
        {staff && s.kind !== "answer" && <CloseSource id={s.id} closed={!!s.closedAt} />}
      </PageHead>
      <p className="no-print mb-2">
        <Link href={`/p/${slug}/needs/sources`} className="text-soft underline">
          All sources
        </Link>
      </p>
      <SessionBoard
        sourceId={s.id}
        me={actor.id}
        closed={!!s.closedAt}
        general={
          s.kind === "interview"
            ? "Anything else that was said"
            : s.kind === "observation"
              ? "What was seen"
              : "What it does, measures and lacks"
        }
        questions={asked.map((q) => ({ id: q.id, text: q.text, asker: q.asker }))}
        notes={notes.map((n) => ({
          id: n.id,
          questionId: n.questionId,
          text: n.text,
          author: n.author,
          authorId: n.authorId,
          at: instant(n.writtenAt).slice(-5),
          version: n.version,
          became: n.became,
        }))}
        slug={slug}
      />
    </>
  );
}

export async function StatementsScreen({ slug }: { slug: string }) {
  const { frame, staff } = await projectPage(slug, "statement.edit");
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
                            <details className="text-sm text-soft">
                              <summary>{merged.length} merged into it</summary>
                              <ul>
                                {merged.map((m) => (
                                  <li key={m.id}>
                                    {m.text} <Unmerge id={m.id} />
                                  </li>
                                ))}
                              </ul>
                            </details>
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
            <details className="text-soft">
              <summary>{aside.length} set aside</summary>
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
            </details>
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
