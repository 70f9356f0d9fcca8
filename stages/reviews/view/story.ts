import { primaryOf } from "@/core/run/protocol";
import { showIn, unitAfter } from "@/core/run/reading";
import type { FailureRow } from "@/stages/builds/queries/failures";
import type { ProjectState } from "@/stages/needs/queries/state";
import type { Review } from "../queries/reviews";
import type { Chapter } from "../schema-story";

interface Facts {
  readonly state: Pick<ProjectState, "builds" | "protocols" | "summary">;
  readonly failures: readonly Pick<FailureRow, "buildId" | "mode" | "place" | "cause">[];
  readonly reviews: readonly Pick<Review, "teamId" | "title" | "heldOn" | "verdict" | "actions">[];
  readonly longDate: (date: string) => string;
}

const sentence = (text: string) => {
  const t = text.trim();
  return !t || /[.!?…”]$/.test(t) ? t : `${t}.`;
};
const paragraph = (lead: string, ...parts: (string | false)[]) => {
  const said = parts.filter((p): p is string => Boolean(p)).map(sentence);
  return said.length ? [`${lead} ${said.join(" ")}`] : [];
};

/** A build's best counted value in what the project compares builds by, in words. */
function reached({ state }: Facts, buildId: string): string {
  const protocol = state.protocols[0];
  const channel = protocol && primaryOf(protocol.definition);
  const kept = protocol && channel ? state.summary(buildId, protocol.id, channel.key) : null;
  if (!protocol || !channel || !kept || kept.counted === null) return "";
  const runs = `${kept.n} ${kept.n === 1 ? "run" : "runs"}`;
  return `${protocol.name}, ${channel.name}: ${unitAfter(showIn(channel, kept.counted, 2), channel.unit)} in ${runs}`;
}

/**
 * A chapter for each of a team's builds, made from the record: what was tried and why, what was seen on the bench and
 * what failed, what was learned and what reviews asked for before the next build.
 */
export function chapterDrafts(teamId: string, facts: Facts): Chapter[] {
  const own = facts.state.builds.filter((b) => b.teamId === teamId);
  return own.map((b, i): Chapter => {
    const until = own[i + 1]?.builtOn ?? "9999-12-31";
    const seen = facts.failures.filter((f) => f.buildId === b.id);
    const reviews = facts.reviews.filter((r) => r.teamId === teamId && r.heldOn >= b.builtOn && r.heldOn < until);
    return {
      key: b.id,
      heading: `G${b.number}, ${b.stage}: ${b.whatChanged || "the first one"}`,
      text: [
        ...paragraph(
          "What we tried.",
          `Built on ${facts.longDate(b.builtOn)}`,
          b.whatChanged,
          b.why && `Why: ${b.why}`,
          b.expected && `We expected: ${b.expected}`,
        ),
        ...paragraph(
          "What we saw.",
          reached(facts, b.id),
          ...seen.map((f) =>
            [`It failed: ${[f.mode, f.place].filter(Boolean).join(", ")}`, f.cause && `likely because ${f.cause}`]
              .filter(Boolean)
              .join(", "),
          ),
          b.good && `Good: ${b.good}`,
          b.notGood && `Not good: ${b.notGood}`,
        ),
        ...paragraph(
          "What we changed our minds about.",
          b.learned,
          ...reviews.map((r) =>
            [
              `${r.title}${r.verdict ? `: ${r.verdict}` : ""}`,
              ...r.actions.map((a) => `agreed: ${a.what}${a.closedAt ? " (done)" : ""}`),
            ].join("; "),
          ),
        ),
      ].join("\n\n"),
      pictures: b.photos.slice(0, 2).map((p) => p.id),
      figure: false,
    };
  });
}

/** What each of a team's builds reached in what the project compares builds by, for the story's figure. */
export function storyPoints(teamId: string, { state }: Pick<Facts, "state">) {
  const protocol = state.protocols[0];
  const channel = protocol && primaryOf(protocol.definition);
  if (!protocol || !channel || channel.levels) return null;
  const points = state.builds.flatMap((b) => {
    const value = b.teamId === teamId ? (state.summary(b.id, protocol.id, channel.key)?.counted ?? null) : null;
    return value === null ? [] : [{ name: `G${b.number}`, value, shown: showIn(channel, value, 2) }];
  });
  return points.length ? { title: `${channel.name} by generation`, unit: channel.unit, points } : null;
}
export type StoryPoints = NonNullable<ReturnType<typeof storyPoints>>;

/** The paragraphs of a chapter. */
export const paragraphsOf = (text: string): string[] =>
  text
    .split(/\n\s*\n/)
    .map((p) => p.trim())
    .filter(Boolean);
