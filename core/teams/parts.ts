import type { ShareMethod } from "../vocabulary/teams";

export interface Part {
  readonly id: string;
  readonly name: string;
  /** The role that designs it, where the team shares by role. */
  readonly role: string;
  readonly owners: readonly string[];
}

export interface Member {
  readonly id: string;
  readonly name: string;
  readonly role: string;
}

export interface PartsReport {
  /** Parts that nobody has. */
  readonly free: readonly Part[];
  /** Each member's parts; a part of two counts half for each. */
  readonly shares: readonly { member: Member; parts: number }[];
  readonly fair: boolean;
  /** What is not as it should be, in words; empty when all is well. */
  readonly says: readonly string[];
}

const amount = (x: number) => (Number.isInteger(x) ? String(x) : x.toFixed(1));

/**
 * Who has which parts: parts that nobody has, each member's share, and whether the shares are equal by the project's
 * school.
 * By number: no two members' shares differ by more than one part. By role: every owner holds the role that the part
 * asks for, and every member has a part.
 * @example
 * shareOfParts(
 *   [
 *     { id: "1", name: "Valve", role: "", owners: ["a"] },
 *     { id: "2", name: "Frame", role: "", owners: [] },
 *   ],
 *   [
 *     { id: "a", name: "Ada", role: "" },
 *     { id: "b", name: "Ben", role: "" },
 *   ],
 *   "number",
 * ).says
 * // => ["Nobody has Frame.", "Ben has no part."]
 */
export function shareOfParts(parts: readonly Part[], members: readonly Member[], school: ShareMethod): PartsReport {
  const here = new Set(members.map((m) => m.id));
  const owners = (p: Part) => p.owners.filter((o) => here.has(o));
  const free = parts.filter((p) => owners(p).length === 0);
  const shares = members.map((member) => ({
    member,
    parts: parts.reduce((s, p) => s + (owners(p).includes(member.id) ? 1 / owners(p).length : 0), 0),
  }));
  const says = free.map((p) => `Nobody has ${p.name}.`);
  let fair = true;
  if (school !== "none" && parts.length > 0 && members.length > 0) {
    for (const s of shares)
      if (s.parts === 0) {
        fair = false;
        says.push(`${s.member.name} has no part.`);
      }
    if (school === "number") {
      const [most, least] = [
        shares.reduce((a, b) => (b.parts > a.parts ? b : a)),
        shares.reduce((a, b) => (b.parts < a.parts ? b : a)),
      ];
      if (most.parts - least.parts > 1 + 1e-9) {
        fair = false;
        says.push(
          `${most.member.name} has ${amount(most.parts)} parts, ${least.member.name} ${amount(least.parts)}: move one.`,
        );
      }
    } else
      for (const p of parts) {
        if (!p.role) says.push(`${p.name} does not say which role designs it.`);
        for (const o of owners(p)) {
          const m = members.find((x) => x.id === o)!;
          if (p.role && m.role.toLowerCase() !== p.role.toLowerCase()) {
            fair = false;
            says.push(`${p.name} asks for ${p.role}, but ${m.name} is ${m.role || "without a role"}.`);
          }
        }
      }
  }
  return { free, shares, fair, says };
}
