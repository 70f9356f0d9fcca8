import { type ProtocolDefinition, primaryOf } from "@/core/run/protocol";
import { showIn, unitAfter } from "@/core/run/reading";
import { plural } from "@/platform/registry/words";
import type { Build } from "../queries/builds";

type Member = { readonly id: string; readonly name: string };

/** Who of a team has made how many generations alone, against what is asked. */
export function ownGenerations(members: readonly Member[], builds: readonly Build[], least: number) {
  const rows = members.map((m) => {
    const own = builds.filter((b) => b.makerId === m.id);
    return { ...m, own, missing: Math.max(0, least - own.length) };
  });
  const late = rows.filter((r) => r.missing > 0);
  return {
    rows,
    says: late.length
      ? `${late.map((r) => `${r.name}: ${r.missing} more`).join(", ")}, of ${plural(least, "generation")} of one's own.`
      : "",
  };
}

/** How many generations of each team were made alone, of the teams that have any. */
export function madeAlone(builds: readonly Pick<Build, "makerId" | "teamId">[]): Map<string, number> {
  const made = new Map<string, number>();
  for (const b of builds) if (b.makerId) made.set(b.teamId, (made.get(b.teamId) ?? 0) + 1);
  return made;
}

/** The generations that were made alone and are in no build of the team yet: what can be brought together. */
export function apart(builds: readonly Build[]): Build[] {
  const used = new Set(builds.flatMap((b) => b.parents));
  return builds.filter((b) => b.makerId && !used.has(b.id));
}

/** A build of the edition before, in the list to choose from: its name, and what it reached. */
export function beforeWords(b: {
  readonly name: string;
  readonly edition: string;
  readonly reached: number | null;
  readonly definition: ProtocolDefinition | null;
}): string {
  const channel = b.definition && primaryOf(b.definition);
  const reached = channel && b.reached !== null ? `, ${unitAfter(showIn(channel, b.reached, 1), channel.unit)}` : "";
  return `${b.name}${reached} (${b.edition})`;
}
