import type { ReactNode } from "react";
import type { Actor } from "@/core/access/can";
import type { Must } from "@/core/concepts/screen";
import { formatSi } from "@/core/quantity/quantity";
import { type ProjectUnits, showSides } from "@/core/quantity/systems";
import { type Concept, conceptsOf } from "@/stages/concepts/queries/concepts";
import { type Selection, selectionsOf } from "@/stages/concepts/queries/selection";
import { mustsOf, screen } from "@/stages/concepts/view/concepts";
import { mayRate } from "@/stages/concepts/view/selection";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { LiveRefresh } from "@/ui/live";
import { Mark } from "@/ui/mark";
import { GuestChoice } from "../parts/buttons";

export function Surface({
  title,
  who,
  live,
  since,
  shows,
  every,
  children,
}: {
  title: string;
  who: string;
  live: string;
  /** The number of the last notice that the page knows of. */
  since: number;
  /** Kinds of things that the page shows. */
  shows: readonly string[];
  /** Milliseconds between two loads at least. */
  every?: number;
  children: ReactNode;
}) {
  return (
    <div className="min-h-dvh">
      <header className="flex flex-wrap items-center justify-between gap-3 border-b border-line bg-spine px-4 py-2.5">
        <p className="flex items-center gap-2.5 font-[650]">
          <Mark />
          {title}
        </p>
        <p className="text-soft">
          {who} <LiveRefresh url={live} since={since} shows={shows} every={every} />
        </p>
      </header>
      <main className="mx-auto max-w-[860px] px-4 py-5">{children}</main>
    </div>
  );
}

/** The selections that a guest takes part in: the concepts with their sketches, and the sheet to hand in. */
export function Choices({
  choices,
  concepts,
  breaks,
  guest,
  currency,
  units,
}: {
  choices: Selection[];
  concepts: Concept[];
  /** The musts that a concept does not meet, by concept. */
  breaks: ReadonlyMap<string, readonly Must[]>;
  guest: Extract<Actor, { kind: "guest" }>;
  currency: string;
  units: ProjectUnits;
}) {
  return choices.map((x) => (
    <section key={x.id} className="mb-6">
      <h1 className="mb-2 text-[18px]">{x.title}</h1>
      <ul className="mb-3 grid gap-3">
        {x.concepts.map((k) => {
          const c = concepts.find((y) => y.id === k.id)!;
          return (
            <li key={k.id} className="sheet px-4 py-3">
              <h2>{c.title}</h2>
              {c.sketches.slice(0, 2).map((f) => (
                <img
                  key={f.id}
                  src={`/api/file/${f.id}`}
                  alt={f.caption || `Sketch of ${c.title}`}
                  className="my-2 max-h-72 w-full rounded-sm border border-line object-contain"
                />
              ))}
              <p className="whitespace-pre-wrap">{c.idea}</p>
              <p className="mt-1 text-sm text-soft">
                {[
                  c.mass && `about ${formatSi(c.mass, units.mass, 1)} ${units.mass}`,
                  c.cost && `about ${formatSi(c.cost, "1", 2)} ${currency}`,
                  c.sides && `${showSides(c.sides, units)} ${units.side}`,
                ]
                  .filter(Boolean)
                  .join(" · ")}
              </p>
              {breaks.get(k.id)?.map((m) => (
                <p key={m.id} className="mt-1 text-sm text-iron">
                  Does not keep: {m.statement}
                </p>
              ))}
              {x.closedAt && (
                <p className="mt-1">
                  <strong className="font-[650]">{k.fate}</strong> {k.fateReason}
                </p>
              )}
            </li>
          );
        })}
      </ul>
      {!x.closedAt && (
        <GuestChoice
          key={x.id}
          raterId={guest.id}
          given={x.sheets.find((h) => h.raterGuest === guest.id)?.marks ?? null}
          q={{
            id: x.id,
            school: x.school,
            criteria: x.definition.criteria,
            top: x.definition.top,
            keep: x.definition.keep,
            votes: x.definition.votes,
            datum: x.definition.datum,
            concepts: x.concepts,
          }}
        />
      )}
    </section>
  ));
}

export async function choicesFor(guest: Extract<Actor, { kind: "guest" }>) {
  const [selections, concepts, requirements] = await Promise.all([
    selectionsOf(guest.project),
    conceptsOf(guest.project, guest),
    requirementsOf(guest.project),
  ]);
  const musts = mustsOf(requirements);
  return {
    concepts,
    breaks: new Map(
      concepts.map((k) => [
        k.id as string,
        screen(musts, k).flatMap((s) => (s.status.value === "not met" ? [s.must] : [])),
      ]),
    ),
    choices: selections.filter(
      (x) => mayRate(x.school, guest, guest.project) && x.concepts.every((k) => concepts.some((c) => c.id === k.id)),
    ),
  };
}

/** What every guest's page is given. */
export interface GuestPage {
  readonly guest: Extract<Actor, { kind: "guest" }>;
  readonly frame: { title: string; who: string; live: string; since: number; shows: readonly string[] };
  readonly currency: string;
  readonly units: ProjectUnits;
}
