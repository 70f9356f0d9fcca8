/** How a team stands to a student who chooses the own one. */
export type Joining = "mine" | "open" | "full" | "other section" | "ask";

/** Whether a student may join a team: of the own section, with a place free, and nobody in it to be kept apart from. */
export function joiningOf(
  team: { readonly sectionId: string | null; readonly members: readonly { readonly id: string }[] },
  me: { readonly id: string; readonly sectionId: string | undefined },
  max: number,
  apart: readonly (readonly string[])[],
): Joining {
  if (team.members.some((m) => m.id === me.id)) return "mine";
  if (team.sectionId !== null && team.sectionId !== me.sectionId) return "other section";
  if (team.members.length >= max) return "full";
  const kept = apart.some((people) => people.includes(me.id) && team.members.some((m) => people.includes(m.id)));
  return kept ? "ask" : "open";
}

/** How many a team still looks for, in words; nothing where it is large enough. */
export const lookingFor = (members: number, min: number): string =>
  members >= min ? "" : `looks for ${min - members} more`;

/** A name that no team has yet: the wanted one, numbered where it is taken; it counts as used afterwards. */
export const freeName = (wanted: string, used: Set<string>): string => {
  let name = wanted.slice(0, 54);
  for (let n = 2; used.has(name.toLowerCase()); n++) name = `${wanted.slice(0, 54)} ${n}`;
  used.add(name.toLowerCase());
  return name;
};
