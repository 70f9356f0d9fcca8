import { runMeasure } from "@/core/needs/requirement";
import { formatSi } from "@/core/quantity/quantity";
import { type ProjectUnits, showSides } from "@/core/quantity/systems";
import { channelsOf } from "@/core/run/protocol";
import { showIn, unitAfter } from "@/core/run/reading";
import { claimWord } from "@/core/vocabulary/concepts";
import type { Concept } from "@/stages/concepts/queries/concepts";
import type { ProjectState } from "@/stages/needs/queries/state";
import type { Build } from "../queries/builds";

/** What was proposed before anything was built. */
export interface Proposal {
  title: string;
  idea: string;
  dimensions: string;
  mass: string | null;
  cost: string | null;
  sides: string[] | null;
  sketches: { id: string; caption: string }[];
  claims: Concept["claims"];
}

const signed = (value: number, shown: string) => `${value > 0 ? "+" : ""}${shown}`;

/** What a build weighs, costs and measures, beside what was proposed, with the difference; only what one side has. */
export function proposedView(
  proposal: Pick<Proposal, "mass" | "cost" | "sides">,
  build: Pick<Build, "mass" | "cost" | "sides">,
  units: ProjectUnits,
  currency: string,
) {
  const number = (name: string, key: "mass" | "cost", unit: string, shownUnit: string) => {
    const [was, is] = [proposal[key], build[key]];
    const shown = (si: string | null) => (si === null ? "–" : `${formatSi(si, unit, 2)} ${shownUnit}`.trim());
    const off = was === null || is === null ? null : Number(is) - Number(was);
    const share = off === null || Number(was) === 0 ? null : Math.round((100 * off) / Number(was));
    const percent = share === null ? "" : ` (${signed(share, String(share).replace("-", "−"))} %)`;
    return {
      name,
      proposed: shown(was),
      built: shown(is),
      off: off === null ? "" : `${signed(off, formatSi(String(off), unit, 2))}${percent}`,
      there: was !== null || is !== null,
    };
  };
  const sides = (s: readonly string[] | null) => (s ? `${showSides(s, units)} ${units.side}` : "–");
  return [
    number("Mass", "mass", units.mass, units.mass),
    number("Cost", "cost", "1", currency),
    {
      name: "Size",
      proposed: sides(proposal.sides),
      built: sides(build.sides),
      off: "",
      there: proposal.sides !== null || build.sides !== null,
    },
  ].filter((r) => r.there);
}

/** What the concept said of a requirement, beside what the build showed of it. */
export function claimsView(
  claims: Proposal["claims"],
  buildId: string,
  facts: Pick<ProjectState, "requirements" | "protocols" | "verdict" | "summary">,
) {
  return facts.requirements.flatMap((r) => {
    const claim = claims[r.id];
    if (!claim) return [];
    const run = runMeasure(r.measure);
    const of = run && facts.protocols.find((p) => p.id === run.protocol);
    const channel = of && channelsOf(of.definition).find((c) => c.key === run.channel);
    const reached = (channel && facts.summary(buildId, of.id, channel.key)?.counted) ?? null;
    const estimate = claim.estimate !== null && r.unit ? unitAfter(formatSi(claim.estimate, r.unit, 1), r.unit) : null;
    return [
      {
        code: r.code,
        statement: r.statement,
        says: estimate ?? claimWord.labels[claim.says],
        how: claim.how,
        reached: channel && reached !== null ? unitAfter(showIn(channel, reached, 1), channel.unit) : "",
        verdict: facts.verdict(r.id, buildId),
      },
    ];
  });
}
