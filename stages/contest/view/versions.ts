/** A place of a confirmed result. */
export interface ConfirmedPlace {
  readonly team: string;
  readonly place: number | null;
  readonly [fact: string]: unknown;
}

/** Something that was recorded of an event's result: it was confirmed as this, or reopened for a reason. */
export interface ResultNote {
  readonly at: string;
  readonly by: string;
  readonly act: "confirmEvent" | "reopenEvent";
  readonly result: readonly ConfirmedPlace[] | null;
  readonly reason: string | null;
}

/** A version of a confirmed result, with what it changed of the one before. */
export interface ResultVersion {
  readonly number: number;
  readonly at: string;
  readonly by: string;
  /** Why the one before was reopened; empty for the first. */
  readonly reason: string;
  /** What is otherwise than in the one before, in words; nothing where only the confirmation is new. */
  readonly changed: readonly string[];
}

const shown = (x: unknown): string => (x === null || x === undefined ? "–" : String(x));

function changes(before: readonly ConfirmedPlace[], after: readonly ConfirmedPlace[]): string[] {
  const teams = [...new Set([...before, ...after].map((p) => p.team))];
  return teams.flatMap((team) => {
    const [was, is] = [before, after].map((of) => of.find((p) => p.team === team));
    if (!was) return [`${team} is new, place ${shown(is!.place)}`];
    if (!is) return [`${team} is not in it any more, before place ${shown(was.place)}`];
    const facts = [...new Set([...Object.keys(was), ...Object.keys(is)])].filter(
      (k) => k !== "team" && shown(was[k]) !== shown(is[k]),
    );
    return facts.length ? [`${team}: ${facts.map((k) => `${k} ${shown(was[k])} → ${shown(is[k])}`).join(", ")}`] : [];
  });
}

/**
 * The versions of an event's confirmed result, the newest first.
 * @param notes in the order in which they were recorded
 */
export function resultVersions(notes: readonly ResultNote[]): ResultVersion[] {
  const versions: ResultVersion[] = [];
  let before: readonly ConfirmedPlace[] | null = null;
  let reason = "";
  for (const n of notes) {
    if (n.act === "reopenEvent") reason = n.reason ?? "";
    else {
      const result: readonly ConfirmedPlace[] = n.result ?? [];
      const changed: string[] = before === null ? [] : changes(before, result);
      versions.push({ number: versions.length + 1, at: n.at, by: n.by, reason, changed });
      before = result;
      reason = "";
    }
  }
  return versions.toReversed();
}
