import type { Gate, gateTicks } from "../queries/gates";

type Ticks = Awaited<ReturnType<typeof gateTicks>>;

/** Whom a tick of a checklist is set for, in words, and whether it is set. */
export interface TickBox {
  readonly label: string;
  readonly teamId?: string;
  readonly personId?: string;
  readonly on: boolean;
}

/** What a reader ticks in a cell of a gate: the team's own, everybody's, the own, or nothing. */
export interface GateCell {
  readonly item: string;
  readonly met: boolean;
  readonly note: string;
  readonly team: TickBox | null;
  readonly each: readonly TickBox[];
  readonly own: TickBox | null;
}

export interface GateLine {
  readonly id: string;
  readonly name: string;
  readonly cells: readonly GateCell[];
  readonly signed: Gate["teams"][number]["signed"];
  readonly missing: number;
}

/** The lines of a gate: a team a line, for students the own alone, with what the reader may tick. */
export function gateLines(
  gate: Gate,
  teams: readonly { id: string; members: readonly { id: string; name: string }[] }[],
  ticks: Ticks,
  reader: { staff: boolean; person: string; team: string | null },
): GateLine[] {
  const forTeam = (item: string, team: string) => ticks.some((k) => k.itemId === item && k.teamId === team);
  const forPerson = (item: string, person: string) => ticks.some((k) => k.itemId === item && k.personId === person);
  return gate.teams
    .filter((t) => reader.staff || t.id === reader.team)
    .map((t) => ({
      id: t.id,
      name: t.name,
      signed: t.signed,
      missing: t.states.filter((s) => !s.met).length,
      cells: t.states.map(({ item, met, note }) => {
        const mine = forPerson(item.id, reader.person);
        return {
          item: item.id,
          met,
          note,
          team:
            item.kind === "team" && reader.staff
              ? { label: "it is there", teamId: t.id, on: forTeam(item.id, t.id) }
              : null,
          each:
            item.kind === "each" && reader.staff
              ? (teams.find((x) => x.id === t.id)?.members ?? []).map((m) => ({
                  label: m.name,
                  personId: m.id,
                  on: forPerson(item.id, m.id),
                }))
              : [],
          own:
            item.kind === "each" && !reader.staff
              ? { label: mine ? "my own" : "I hand mine in", personId: reader.person, on: mine }
              : null,
        };
      }),
    }));
}
