import { Fold } from "@/ui/fold";
import Link from "@/ui/link";
import type { Option } from "@/ui/option";
import type { Statement } from "../queries/statements";
import { Unmerge } from "./buttons";
import { StatementTools } from "./statement-tools";

/** A statement with what is wrong with it, what can be done, and what was merged into it. */
export function StatementText({
  statement: x,
  vague,
  bare,
  merged,
  projectId,
  requirements,
  staff,
}: {
  statement: Statement;
  /** Vague words in it. */
  vague: readonly string[] | undefined;
  /** What it lacks, in words. */
  bare: string | undefined;
  merged: readonly Statement[];
  projectId: string;
  requirements: Option[];
  staff: boolean;
}) {
  return (
    <>
      <p className="font-[600] wrap-anywhere">{x.text}</p>
      {vague && !x.requirementId && (
        <p className="text-sm text-ochre-deep">“{vague.join("”, “")}”: how much is that? Ask for a number.</p>
      )}
      {bare && !vague && <p className="text-sm text-ochre-deep">There is {bare}.</p>}
      {x.asked && <p className="text-sm text-slate">The client is asked about it.</p>}
      <StatementTools
        id={x.id}
        version={x.version}
        projectId={projectId}
        text={x.text}
        requirementId={x.requirementId}
        requirements={requirements}
        staff={staff}
        aside={false}
      />
      {merged.length > 0 && (
        <Fold className="text-sm text-soft wrap-anywhere" label={<>{merged.length} merged into it</>}>
          <ul>
            {merged.map((m) => (
              <li key={m.id}>
                {m.text} <Unmerge id={m.id} />
              </li>
            ))}
          </ul>
        </Fold>
      )}
    </>
  );
}

/** The words that a statement came from. */
export function StatementWords({ slug, notes }: { slug: string; notes: Statement["notes"] }) {
  if (notes.length === 0) return <span className="text-sm text-ochre-deep">no words are noted</span>;
  return (
    <div className="text-sm text-soft wrap-anywhere">
      {notes.slice(0, 4).map((n) => (
        <p key={n.id}>
          “{n.text}”{" "}
          <Link href={`/p/${slug}/needs/sources/${n.sourceId}`} className="underline">
            {n.source}
          </Link>
          , {n.author}
        </p>
      ))}
      {notes.length > 4 && <p>and {notes.length - 4} more</p>}
    </div>
  );
}
