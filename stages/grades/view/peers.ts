import { capped, oddRatings, peerFactors } from "@/core/grades/peers";
import type { SchemeDefinition } from "@/core/grades/scheme";
import type { Working } from "@/core/working/working";
import type { Student } from "@/stages/people/queries/students";
import type { PeerRatingRow, PeerRound } from "../queries/peers";

/** A member of a team in a rating. */
export interface RatedMember {
  readonly id: string;
  readonly name: string;
  readonly handedIn: boolean;
  /** Mean received, and how many gave it. */
  readonly mean: string | null;
  readonly raters: number;
  readonly factor: string | null;
  /** Between the caps of the scheme, where it takes its factor from here. */
  readonly capped: string | null;
  readonly working: Working;
  /** What this one gave each member, in the members' order; null for oneself and for nothing. */
  readonly gave: readonly (string | null)[];
  readonly comments: readonly { about: string; text: string }[];
}

export interface RatedTeam {
  readonly team: string;
  readonly members: readonly RatedMember[];
  readonly odd: readonly string[];
}

const rounded = (x: string | null) => (x === null ? null : Number(x).toFixed(3));

/** What a rating came to, team by team: for instructors alone. */
export function peersView(
  students: readonly Student[],
  round: Pick<PeerRound, "id" | "method">,
  ratings: readonly PeerRatingRow[],
  peers: SchemeDefinition["peers"],
): { teams: RatedTeam[]; missing: string[]; asked: number } {
  const caps = peers?.round === round.id ? peers : null;
  const names = [...new Set(students.flatMap((s) => s.team ?? []))].sort();
  const teams = names.map((team): RatedTeam => {
    const members = students.filter((s) => s.team === team);
    const nameOf = new Map(members.map((m) => [m.id as string, m.name]));
    return {
      team,
      odd: oddRatings(members, ratings).map((o) => o.words),
      members: peerFactors(round.method, members, ratings).map((f) => {
        const own = ratings.filter((r) => r.rater === f.id);
        return {
          id: f.id,
          name: nameOf.get(f.id)!,
          handedIn: own.length > 0,
          mean: f.mean && Number(f.mean).toFixed(2),
          raters: f.raters,
          factor: rounded(f.factor),
          capped: f.factor && caps ? rounded(capped(f.factor, caps)) : null,
          working: f.working,
          gave: members.map((m) => own.find((r) => r.ratee === m.id)?.value ?? null),
          comments: own.flatMap((r) => (r.comment ? [{ about: nameOf.get(r.ratee) ?? "", text: r.comment }] : [])),
        };
      }),
    };
  });
  // Who is alone in a team has nobody to rate.
  const asked = teams.filter((t) => t.members.length > 1).flatMap((t) => t.members);
  return { teams, asked: asked.length, missing: asked.filter((m) => !m.handedIn).map((m) => m.name) };
}

/** What a student has to hand in for a rating: the others of the team, with what was given before. */
export function toRate(
  students: readonly Student[],
  personId: string,
  given: readonly Pick<PeerRatingRow, "ratee" | "value" | "comment">[],
): { id: string; name: string; value: string; comment: string }[] {
  const team = students.find((s) => s.id === personId)?.teamId;
  if (!team) return [];
  return students
    .filter((s) => s.teamId === team && s.id !== personId)
    .map((s) => {
      const old = given.find((g) => g.ratee === s.id);
      return { id: s.id, name: s.name, value: old?.value ?? "", comment: old?.comment ?? "" };
    });
}
