import { notFound } from "next/navigation";
import { sourceKind } from "@/core/vocabulary/needs";
import { fullDate, instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import Link from "@/ui/link";
import { PageHead } from "@/ui/page";
import { noteActs } from "../acts";
import { CloseSource, WithdrawSource } from "../parts/buttons";
import { EditSource } from "../parts/edit-source";
import { SessionBoard } from "../parts/session-board";

import { notesOf, sourcesOf } from "../queries/notes";
import { questionsOf } from "../queries/questions";

export async function SourceScreen({ slug, id }: { slug: string; id: string }) {
  const { frame, staff, actor } = await projectPage(slug, noteActs.write);
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
          `${sourceKind.labels[s.kind]} · ${fullDate(s.heldOn)}${s.who ? ` · ${s.who}` : ""} · ` +
          `${notes.length} notes from ${hands.size} ${hands.size === 1 ? "hand" : "hands"}`
        }
      >
        {staff && s.kind !== "answer" && <CloseSource id={s.id} closed={!!s.closedAt} />}
        {staff && (
          <EditSource id={s.id} version={s.version} values={{ title: s.title, who: s.who, heldOn: s.heldOn }} />
        )}
        {staff && <WithdrawSource id={s.id} goTo={`/p/${slug}/needs/sources`} />}
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
