import type { GateItemKind, GateStrictness } from "../vocabulary/project";

/**
 * One line of a gate's checklist. `each`: every member has handed it in; `team`: the team has it; `tool`: members are
 * signed for a tool; `coverage`: a share of musts is answered.
 */
export interface GateItem {
  readonly id: string;
  readonly kind: GateItemKind;
  readonly label: string;
  /** For tool: how many members must be signed, 0 for all of them. For coverage: percent of musts. */
  readonly needs: number;
}

/** What is on record for one team. */
export interface GateFacts {
  readonly members: readonly { id: string; name: string }[];
  /** By item: the members who have it. */
  readonly have: Readonly<Record<string, readonly string[]>>;
  /** By item: the team has it. */
  readonly ticked: Readonly<Record<string, boolean>>;
  readonly musts: number;
  /** Musts that the team's concept answers; null while it has none. */
  readonly answered: number | null;
}

export interface ItemState {
  readonly item: GateItem;
  readonly met: boolean;
  /** What is there, or what is missing, in words. */
  readonly note: string;
}

const list = (names: readonly string[]) =>
  names.length > 3 ? `${names.slice(0, 3).join(", ")} and ${names.length - 3} more` : names.join(", ");

/**
 * How a gate's checklist stands for a team, item by item, with what is missing in words.
 * @example
 * gateStates([{ id: "d", kind: "each", label: "Own drawing", needs: 0 }], {
 *   members: [
 *     { id: "a", name: "Ada" },
 *     { id: "b", name: "Ben" },
 *   ],
 *   have: { d: ["a"] },
 *   ticked: {},
 *   musts: 0,
 *   answered: 0,
 * }).map((s) => [s.met, s.note])
 * // => [[false, "missing from Ben"]]
 */
export function gateStates(items: readonly GateItem[], facts: GateFacts): ItemState[] {
  return items.map((item) => {
    if (item.kind === "team")
      return { item, met: !!facts.ticked[item.id], note: facts.ticked[item.id] ? "there" : "not there yet" };
    if (item.kind === "coverage" && facts.answered === null)
      return { item, met: false, note: "the team has no concept yet, so no must is answered" };
    if (item.kind === "coverage") {
      const answered = facts.answered ?? 0;
      const percent = facts.musts ? Math.floor((100 * answered) / facts.musts) : 0;
      return {
        item,
        met: facts.musts > 0 && answered * 100 >= item.needs * facts.musts,
        note: `${answered} of ${facts.musts} musts answered (${percent} %, asked ${item.needs} %)`,
      };
    }
    const have = new Set(facts.have[item.id] ?? []);
    const [there, missing] = [
      facts.members.filter((m) => have.has(m.id)),
      facts.members.filter((m) => !have.has(m.id)),
    ];
    if (facts.members.length === 0) return { item, met: false, note: "the team has nobody yet" };
    if (item.kind === "tool" && item.needs > 0)
      return {
        item,
        met: there.length >= Math.min(item.needs, facts.members.length),
        note: there.length
          ? `${there.length} of ${facts.members.length} signed`
          : `nobody is signed; ${item.needs} must be`,
      };
    return {
      item,
      met: missing.length === 0,
      note: missing.length ? `missing from ${list(missing.map((m) => m.name))}` : "from everybody",
    };
  });
}

/**
 * Whether building may begin: with `none` always; with `warn` always, saying what is missing; with `block` only once
 * the instructor has signed.
 * @example
 * mayBuild("block", false, [])
 * // => { allowed: false, says: "The gate is not signed yet. Ask the instructor to sign it." }
 * @example
 * mayBuild("warn", false, [
 *   { item: { id: "d", kind: "team", label: "Model complete", needs: 0 }, met: false, note: "not there yet" },
 * ]).says
 * // => "Before material is cut: model complete (not there yet)."
 */
export function mayBuild(
  strictness: GateStrictness,
  signed: boolean,
  states: readonly ItemState[],
): { allowed: boolean; says: string | null } {
  if (strictness === "none" || signed) return { allowed: true, says: null };
  const open = states.filter((s) => !s.met).map((s) => `${s.item.label.toLowerCase()} (${s.note})`);
  const missing = open.length ? `Before material is cut: ${open.join("; ")}.` : null;
  if (strictness === "warn") return { allowed: true, says: missing ?? "The gate is complete, but not signed yet." };
  return {
    allowed: false,
    says: [missing, "The gate is not signed yet. Ask the instructor to sign it."].filter(Boolean).join(" "),
  };
}
