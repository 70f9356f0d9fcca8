"use client";

import { ArrowDown, ArrowUp } from "lucide-react";
import { useState } from "react";
import {
  editQuestion,
  linkStatement,
  openQuestion,
  question,
  setAside,
  source,
  statement,
  amendNote,
} from "@/data/schemas/front";
import { cx } from "@/ui/classes";
import { ActButton, ActionForm, CheckField, SelectField, TextArea, TextField } from "@/ui/form";
import Link from "@/ui/link";
import { useDraft, useOutbox } from "@/ui/outbox";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import {
  adoptStatementAction,
  amendNoteAction,
  askClientAction,
  closeSourceAction,
  draftQuestionAction,
  dropQuestionAction,
  editQuestionAction,
  linkStatementAction,
  mergeQuestionsAction,
  mergeStatementsAction,
  openSourceAction,
  orderQuestionsAction,
  saveStatementAction,
  setStatementAsideAction,
  tellApartAction,
  unmergeStatementAction,
  writeNoteAction,
} from "./actions";

type Choice = { value: string; label: string };

export const QuestionForm = ({ projectId }: { projectId: string }) => (
  <ActionForm
    inline
    clear
    schema={question}
    action={draftQuestionAction}
    fixed={{ projectId }}
    defaults={{ text: "" }}
    submit="Add to the bank"
    look="main"
  >
    <TextField name="text" label="A question for the client" className="w-[min(34rem,100%)] grow" />
  </ActionForm>
);

interface QuestionLine {
  id: string;
  text: string;
  draftedBy: string;
  asker: string | null;
  askerId: string | null;
  forClient: boolean;
  answers: number;
  version: number;
  merged: { id: string; text: string; draftedBy: string }[];
}

/**
 * The bank as the class keeps it: in the order in which it is asked, drafts that say the same merged, each with who
 * asks it.
 */
export function QuestionBank({
  projectId,
  list,
  people,
  staff,
}: {
  projectId: string;
  list: QuestionLine[];
  people: Choice[];
  staff: boolean;
}) {
  const [picked, setPicked] = useState<string[]>([]);
  const [edited, setEdited] = useState("");
  const ids = list.map((q) => q.id);
  const moved = (i: number, by: number) => {
    const next = [...ids];
    const [x] = next.splice(i, 1);
    next.splice(i + by, 0, x!);
    return next;
  };
  return (
    <>
      {list.length > 1 && (
        <div className="no-print mb-2 flex min-h-8 flex-wrap items-center gap-3 text-sm text-soft">
          {picked.length < 2 ? (
            "Tick questions that ask the same to merge them; the first one ticked is kept. The arrows put them " +
            "in order."
          ) : (
            <ActButton
              key={picked.join()}
              action={mergeQuestionsAction}
              input={{ projectId, into: picked[0], from: picked.slice(1) }}
              onDone={() => setPicked([])}
            >{`Merge ${picked.length} into “${list.find((q) => q.id === picked[0])?.text.slice(0, 50)}”`}</ActButton>
          )}
        </div>
      )}
      <ol className="sheet divide-y divide-line">
        {list.map((q, i) => (
          <li key={q.id} className="flex flex-wrap items-start gap-x-3 gap-y-1 px-3 py-2 sm:flex-nowrap">
            <input
              type="checkbox"
              className="mt-1 accent-iron"
              aria-label={`Choose “${q.text}”`}
              checked={picked.includes(q.id)}
              onChange={(e) => setPicked(e.target.checked ? [...picked, q.id] : picked.filter((x) => x !== q.id))}
            />
            <span className="w-6 shrink-0 text-right text-soft">{i + 1}</span>
            <div className="min-w-0 grow">
              {edited === q.id ? (
                <ActionForm
                  schema={editQuestion}
                  action={editQuestionAction}
                  fixed={{ id: q.id, version: q.version }}
                  defaults={{ text: q.text, askerId: q.askerId ?? "", forClient: q.forClient }}
                  submit="Save"
                  onDone={() => setEdited("")}
                  cancel={
                    <button type="button" className={buttonClass("quiet")} onClick={() => setEdited("")}>
                      Leave
                    </button>
                  }
                >
                  <TextField name="text" label="Question" />
                  <SelectField name="askerId" label="Asked by" empty="nobody yet" options={people} />
                  <CheckField
                    name="forClient"
                    label="Stands on the client's page"
                    hint="The client answers it there in writing; the answer comes back as a source."
                  />
                </ActionForm>
              ) : (
                <p className="font-[600]">{q.text}</p>
              )}
              <div className="text-sm text-soft">
                {q.draftedBy}
                {q.merged.length > 0 && <>, with {q.merged.map((m) => m.draftedBy).join(", ")}</>}
                {q.merged.length > 0 && (
                  <details className="inline-block">
                    <summary className="ml-2 inline underline">{q.merged.length} merged</summary>
                    <ul>
                      {q.merged.map((m) => (
                        <li key={m.id}>
                          “{m.text}” ({m.draftedBy})
                          {staff && (
                            <>
                              {" "}
                              <ActButton action={dropQuestionAction} input={{ id: m.id, dropped: false }} look="quiet">
                                take out again
                              </ActButton>
                            </>
                          )}
                        </li>
                      ))}
                    </ul>
                  </details>
                )}
              </div>
            </div>
            <span className="shrink-0 text-sm">
              {q.forClient ? (
                <span className="text-ochre-deep">on the client's page</span>
              ) : q.asker ? (
                <>
                  asked by <strong className="font-[600]">{q.asker}</strong>
                </>
              ) : (
                <span className="text-soft">nobody asks it yet</span>
              )}
              {q.answers > 0 && (
                <span className="text-soft">
                  {" "}
                  · {q.answers} {q.answers === 1 ? "note" : "notes"}
                </span>
              )}
            </span>
            <span className="no-print flex shrink-0 items-center gap-1">
              <span className={cx(i === 0 && "invisible")}>
                <ActButton
                  action={orderQuestionsAction}
                  input={{ projectId, ids: i ? moved(i, -1) : ids }}
                  look="quiet"
                >
                  <ArrowUp size={14} aria-label={`Move “${q.text}” up`} />
                </ActButton>
              </span>
              <span className={cx(i === list.length - 1 && "invisible")}>
                <ActButton
                  action={orderQuestionsAction}
                  input={{ projectId, ids: i < list.length - 1 ? moved(i, 1) : ids }}
                  look="quiet"
                >
                  <ArrowDown size={14} aria-label={`Move “${q.text}” down`} />
                </ActButton>
              </span>
              {staff && (
                <>
                  <button
                    type="button"
                    className={buttonClass("quiet")}
                    onClick={() => setEdited(edited === q.id ? "" : q.id)}
                  >
                    edit
                  </button>
                  <ActButton action={dropQuestionAction} input={{ id: q.id, dropped: true }} look="quiet">
                    drop
                  </ActButton>
                </>
              )}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}
export const RestoreQuestion = ({ id }: { id: string }) => (
  <ActButton action={dropQuestionAction} input={{ id, dropped: false }} look="quiet">
    put back
  </ActButton>
);

export function SourceForm({ projectId, slug, today }: { projectId: string; slug: string; today: string }) {
  return (
    <ActionForm
      schema={source}
      action={openSourceAction}
      fixed={{ projectId }}
      defaults={{ kind: "interview", title: "", who: "", heldOn: today }}
      submit="Begin"
      goTo={`/p/${slug}/needs/sources/:id`}
      className="grid gap-3"
    >
      <SelectField
        name="kind"
        label="Kind"
        options={[
          { value: "interview", label: "Interview, the class types along" },
          { value: "observation", label: "Observation of users at work" },
          { value: "product", label: "Existing product, looked at or measured" },
        ]}
      />
      <TextField name="title" label="Title" hint="Interview 1, or what was watched, or the product's kind" />
      <TextField name="who" label="With whom, or where" />
      <TextField name="heldOn" label="On" type="date" />
    </ActionForm>
  );
}
export const CloseSource = ({ id, closed }: { id: string; closed: boolean }) => (
  <ActButton action={closeSourceAction} input={{ id, closed: !closed }}>
    {closed ? "Open again" : "Close the session"}
  </ActButton>
);

interface NoteLine {
  id: string;
  questionId: string | null;
  text: string;
  author: string;
  authorId: string | null;
  at: string;
  version: number;
  became: string[];
}

function NoteField({ name, label, onSend }: { name: string; label: string; onSend: (text: string) => void }) {
  const [text, setText] = useDraft(name);
  const ready = useReady();
  const send = () => {
    if (!text.trim()) return;
    onSend(text.trim());
    setText("");
  };
  return (
    <form
      className="no-print flex items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        send();
      }}
    >
      <textarea
        rows={1}
        className="input grow"
        aria-label={label}
        placeholder="A note, then Enter"
        disabled={!ready}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === "Enter" && !e.shiftKey) {
            e.preventDefault();
            send();
          }
        }}
      />
      <button type="submit" className={buttonClass()}>
        Note
      </button>
    </form>
  );
}

/**
 * Many hands at once: each question with its notes as they come in, and a line to write in. What cannot be sent waits
 * in this browser.
 */
export function SessionBoard({
  sourceId,
  me,
  questions,
  notes,
  closed,
  general,
  slug,
}: {
  slug: string;
  sourceId: string;
  me: string;
  questions: { id: string; text: string; asker: string | null }[];
  notes: NoteLine[];
  closed: boolean;
  general: string;
}) {
  const box = useOutbox<{ id: string; sourceId: string; questionId?: string; text: string; writtenAt: string }>(
    `notes.${me}.${sourceId}`,
    writeNoteAction,
    notes.map((n) => n.id),
  );
  const [amended, setAmended] = useState("");
  const stuck = box.waiting.filter((w) => !w.sent);
  const write = (questionId: string | undefined) => (text: string) =>
    box.add({
      id: crypto.randomUUID(),
      sourceId,
      ...(questionId ? { questionId } : {}),
      text,
      writtenAt: new Date().toISOString(),
    });
  const column = (questionId: string | null) => (
    <ul className="grid gap-1">
      {notes
        .filter((n) => n.questionId === questionId)
        .map((n) => (
          <li key={n.id} className={cx("border-l-3 pl-2.5", n.authorId === me ? "border-iron" : "border-stone-3")}>
            {amended === n.id ? (
              <ActionForm
                inline
                schema={amendNote}
                action={amendNoteAction}
                fixed={{ id: n.id, version: n.version }}
                defaults={{ text: n.text }}
                submit="Save"
                onDone={() => setAmended("")}
              >
                <TextField name="text" label="Note" hideLabel className="w-72" />
              </ActionForm>
            ) : (
              <span className="whitespace-pre-wrap">{n.text}</span>
            )}
            <span className="ml-2 text-xs text-soft">
              {n.author} {n.at}
              {n.became.map((c) => (
                <Link key={c} href={`/p/${slug}/needs?r=${c}`} className="ml-2 underline">
                  {c}
                </Link>
              ))}
              {n.authorId === me && amended !== n.id && !closed && (
                <button type="button" className="ml-2 underline" onClick={() => setAmended(n.id)}>
                  correct
                </button>
              )}
            </span>
          </li>
        ))}
      {box.waiting
        .filter((w) => (w.input.questionId ?? null) === questionId)
        .map((w) => (
          <li key={w.id} className="border-l-3 border-ochre pl-2.5 text-soft">
            {w.input.text}
            <span className="ml-2 text-xs">
              {w.sent ? (
                "saved"
              ) : w.problem ? (
                <>
                  {w.problem}{" "}
                  <button type="button" className="underline" onClick={() => box.retry(w.id)}>
                    send again
                  </button>{" "}
                  <button type="button" className="underline" onClick={() => box.drop(w.id)}>
                    leave out
                  </button>
                </>
              ) : (
                "waits for the network"
              )}
            </span>
          </li>
        ))}
    </ul>
  );
  return (
    <>
      <p role="status" className={cx("mb-2 min-h-5 text-sm", stuck.length ? "text-ochre-deep" : "text-soft")}>
        {stuck.length
          ? `${stuck.length} ${stuck.length === 1 ? "note waits" : "notes wait"} in this browser` +
            `${box.offline ? ": no network" : ""}. Go on writing; ${stuck.length === 1 ? "it is" : "they are"} ` +
            "sent by itself."
          : closed
            ? "This session is closed."
            : "Everything written is saved."}
      </p>
      <div className="grid gap-x-6 gap-y-4 lg:grid-cols-2">
        {questions.map((q, i) => (
          <section
            key={q.id}
            className="grid content-start gap-1.5 border-t-2 border-stone-3 pt-1.5"
            aria-label={q.text}
          >
            <h2>
              {i + 1}. {q.text}
              {q.asker && <span className="font-normal text-soft"> asked by {q.asker}</span>}
            </h2>
            {column(q.id)}
            {!closed && <NoteField name={`${sourceId}.${q.id}`} label={`Note on “${q.text}”`} onSend={write(q.id)} />}
          </section>
        ))}
        <section className="grid content-start gap-1.5 border-t-2 border-stone-3 pt-1.5" aria-label={general}>
          <h2>{general}</h2>
          {column(null)}
          {!closed && <NoteField name={`${sourceId}.other`} label={general} onSend={write(undefined)} />}
        </section>
      </div>
    </>
  );
}

/** Notes become a statement: tick what it rests on, write what it says. */
export function StatementDesk({
  projectId,
  notes,
}: {
  projectId: string;
  notes: { id: string; text: string; author: string; source: string; used: number }[];
}) {
  const [picked, setPicked] = useState<string[]>([]);
  const [all, setAll] = useState(false);
  const shown = notes.filter((n) => all || n.used === 0 || picked.includes(n.id));
  const sources = [...new Set(shown.map((n) => n.source))];
  const first = notes.find((n) => n.id === picked[0]);
  return (
    <div className="grid gap-2">
      <ActionForm
        key={first?.id ?? "none"}
        schema={statement}
        action={saveStatementAction}
        fixed={{ projectId }}
        defaults={{ text: first?.text ?? "" }}
        shape={(v) => ({ ...v, noteIds: picked })}
        submit={
          picked.length
            ? `Save, resting on ${picked.length} ${picked.length === 1 ? "note" : "notes"}`
            : "Save without a note"
        }
        clear
        onDone={() => setPicked([])}
      >
        <TextArea
          name="text"
          label="Statement"
          rows={2}
          hint="One need in one sentence, with a number and a unit where the words give one."
        />
      </ActionForm>
      <div className="max-h-[28rem] overflow-y-auto" tabIndex={0} role="region" aria-label="Notes">
        {sources.map((s) => (
          <div key={s}>
            <h3 className="mt-1.5">{s}</h3>
            <ul>
              {shown
                .filter((n) => n.source === s)
                .map((n) => (
                  <li key={n.id}>
                    <label className="flex items-start gap-2 py-0.5">
                      <input
                        type="checkbox"
                        className="mt-1 accent-iron"
                        checked={picked.includes(n.id)}
                        onChange={(e) =>
                          setPicked(e.target.checked ? [...picked, n.id] : picked.filter((x) => x !== n.id))
                        }
                      />
                      <span>
                        {n.text}{" "}
                        <span className="text-xs text-soft">
                          {n.author}
                          {n.used > 0 && " · used"}
                        </span>
                      </span>
                    </label>
                  </li>
                ))}
            </ul>
          </div>
        ))}
        {shown.length === 0 && <p className="text-soft">Every note has become part of a statement.</p>}
      </div>
      {notes.some((n) => n.used > 0) && (
        <button type="button" className={cx(buttonClass("quiet"), "justify-self-start")} onClick={() => setAll(!all)}>
          {all ? "only notes not used yet" : "all notes"}
        </button>
      )}
    </div>
  );
}

/** A group of likely duplicates: the person says which one stands for all, or that they differ. */
export function DuplicateGroup({
  projectId,
  members,
  score,
  shared,
}: {
  projectId: string;
  members: { id: string; text: string }[];
  score: number;
  shared: string[];
}) {
  const [into, setInto] = useState(members[0]!.id);
  const [out, setOut] = useState<string[]>([]);
  const from = members.filter((m) => m.id !== into && !out.includes(m.id));
  return (
    <fieldset className="border-t border-line py-2">
      <legend className="sr-only">Likely the same</legend>
      {members.map((m) => (
        <div key={m.id} className="flex items-start gap-2 py-0.5">
          <label className="flex grow items-start gap-2">
            <input
              type="radio"
              name={`into-${members[0]!.id}`}
              className="mt-1 accent-iron"
              checked={into === m.id}
              onChange={() => {
                setInto(m.id);
                setOut(out.filter((x) => x !== m.id));
              }}
            />
            <span className={cx(out.includes(m.id) && "text-soft line-through")}>{m.text}</span>
          </label>
          {members.length > 2 && into !== m.id && (
            <button
              type="button"
              className="shrink-0 text-sm text-soft underline"
              onClick={() => setOut(out.includes(m.id) ? out.filter((x) => x !== m.id) : [...out, m.id])}
            >
              {out.includes(m.id) ? "belongs here" : "leave out"}
            </button>
          )}
        </div>
      ))}
      <p className="mt-1 flex flex-wrap items-center gap-2 text-sm text-soft">
        {from.length > 0 && (
          <ActButton
            key={into + out.join()}
            action={mergeStatementsAction}
            input={{ projectId, into, from: from.map((m) => m.id) }}
          >
            They say the same: keep the chosen one
          </ActButton>
        )}
        {members.length === 2 && (
          <ActButton action={tellApartAction} input={{ projectId, a: members[0]!.id, b: members[1]!.id }} look="quiet">
            They differ
          </ActButton>
        )}
        {members.length > 2 &&
          out.map((x) => (
            <ActButton
              key={x}
              action={tellApartAction}
              input={{ projectId, a: into, b: x }}
              look="quiet"
            >{`“${members.find((m) => m.id === x)!.text.slice(0, 24)}…” differs from the chosen one`}</ActButton>
          ))}
        <span>
          likeness {score.toFixed(2)}, shared: {shared.slice(0, 6).join(", ")}
        </span>
      </p>
    </fieldset>
  );
}

/**
 * What is done with one statement: it becomes a requirement, belongs to one, must be asked again, or is set aside with
 * a reason.
 */
export function StatementTools({
  id,
  version,
  projectId,
  text,
  requirementId,
  requirements,
  staff,
  aside,
}: {
  id: string;
  version: number;
  projectId: string;
  text: string;
  requirementId: string | null;
  requirements: Choice[];
  staff: boolean;
  aside: boolean;
}) {
  const [open, setOpen] = useState<"" | "edit" | "link" | "ask" | "aside">("");
  const close = () => setOpen("");
  const leave = (
    <button type="button" className={buttonClass("quiet")} onClick={close}>
      Leave
    </button>
  );
  if (aside)
    return (
      <ActButton action={setStatementAsideAction} input={{ id, reason: "" }} look="quiet">
        take up again
      </ActButton>
    );
  if (open === "edit")
    return (
      <ActionForm
        schema={statement}
        action={saveStatementAction}
        fixed={{ projectId, id, version }}
        defaults={{ text }}
        submit="Save"
        onDone={close}
        cancel={leave}
      >
        <TextArea name="text" label="Statement" rows={2} />
      </ActionForm>
    );
  if (open === "link")
    return (
      <ActionForm
        inline
        schema={linkStatement}
        action={linkStatementAction}
        fixed={{ id }}
        defaults={{ requirementId: requirementId ?? "" }}
        submit="Link"
        look="plain"
        onDone={close}
        cancel={leave}
      >
        <SelectField
          name="requirementId"
          label="Belongs to"
          empty="no requirement"
          options={requirements}
          className="w-64"
        />
      </ActionForm>
    );
  if (open === "ask")
    return (
      <ActionForm
        schema={openQuestion}
        action={askClientAction}
        fixed={{ statementId: id }}
        defaults={{ text: "" }}
        submit="Put on the client's page"
        onDone={close}
        cancel={leave}
      >
        <TextField name="text" label="What must be asked again" />
      </ActionForm>
    );
  if (open === "aside")
    return (
      <ActionForm
        schema={setAside}
        action={setStatementAsideAction}
        fixed={{ id }}
        defaults={{ reason: "" }}
        submit="Set aside"
        look="plain"
        onDone={close}
        cancel={leave}
      >
        <TextField name="reason" label="Why it is no need" />
      </ActionForm>
    );
  return (
    <span className="no-print flex flex-wrap gap-x-2.5">
      {staff && !requirementId && (
        <ActButton action={adoptStatementAction} input={{ id }} look="quiet">
          make it a requirement
        </ActButton>
      )}
      {staff && requirements.length > 0 && (
        <button type="button" className={buttonClass("quiet")} onClick={() => setOpen("link")}>
          {requirementId ? "change the link" : "belongs to…"}
        </button>
      )}
      {staff && (
        <button type="button" className={buttonClass("quiet")} onClick={() => setOpen("ask")}>
          ask the client
        </button>
      )}
      <button type="button" className={buttonClass("quiet")} onClick={() => setOpen("edit")}>
        edit
      </button>
      <button type="button" className={buttonClass("quiet")} onClick={() => setOpen("aside")}>
        set aside
      </button>
    </span>
  );
}
export const Unmerge = ({ id }: { id: string }) => (
  <ActButton action={unmergeStatementAction} input={{ id }} look="quiet">
    take out again
  </ActButton>
);
