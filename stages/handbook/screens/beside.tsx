import type { ReactNode } from "react";
import { nearTo } from "@/core/handbook/near";
import type { HandbookTarget } from "@/core/vocabulary/handbook";
import { projectPage } from "@/platform/pages/page";
import Link from "@/ui/link";
import { handbookActs } from "../acts";
import { Near, Uses } from "../parts/uses";
import { aboutOf, usesOf } from "../queries/uses";
import { handbookHref, toldUse } from "../view/handbook";

/**
 * What the handbook has beside a build, a protocol or a requirement: the calculations that are kept there, and the
 * calculators that are near what its words say.
 */
export async function HandbookBeside({
  slug,
  kind,
  named,
}: {
  slug: string;
  kind: Exclude<HandbookTarget, "entry">;
  /** Its id, or a requirement's code. */
  named: string | undefined;
}) {
  const page = await projectPage(slug);
  const projectId = page.frame.project.id;
  const about = named ? await aboutOf(projectId, kind, named) : null;
  if (!about) return null;
  const { id, words, team } = about;
  const base = `/p/${slug}`;
  const uses = await usesOf(projectId, { [kind]: id });
  const may = page.may(handbookActs.attach, { team });
  const near = nearTo(words);
  if (!uses.length && !may) return null;
  return (
    <section className="mt-3 max-w-[860px]" aria-label="From the handbook">
      <h2 className="mb-1">Calculations</h2>
      {uses.length > 0 && <Uses uses={uses.map((u) => toldUse(base, u))} />}
      <Near base={base} ids={near} target={`${kind} ${id}`} />
      {may && !near.length && (
        <p className="no-print text-sm text-soft">
          <Link href={handbookHref(base, "", { for: `${kind} ${id}` })} className="underline">
            Compute something for it
          </Link>{" "}
          with the handbook, and keep it here.
        </p>
      )}
    </section>
  );
}

/** The calculations that stay with entries of a notebook, by entry. */
export async function usesByEntry(
  slug: string,
  entries: readonly { readonly id: string }[],
): Promise<ReadonlyMap<string, ReactNode>> {
  const { frame } = await projectPage(slug);
  const uses = await usesOf(frame.project.id, { entries: entries.map((e) => e.id) });
  const told = (e: { id: string }) => uses.filter((u) => u.targetId === e.id).map((u) => toldUse(`/p/${slug}`, u));
  return new Map(
    entries.flatMap((e) => {
      const own = told(e);
      return own.length ? [[e.id, <Uses key={e.id} uses={own} />] as const] : [];
    }),
  );
}
