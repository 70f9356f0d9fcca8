import type { Gate } from "../queries/gates";
import { gateLines } from "./gates";

const item = (id: string, kind: "each" | "team" | "tool") => ({ id, kind, label: id, needs: 0 });
const state = (id: string, kind: "each" | "team" | "tool", met: boolean) => ({
  item: item(id, kind),
  met,
  note: "note",
});
const gate = {
  teams: [
    {
      id: "alder",
      name: "Alder",
      signed: null,
      states: [state("drawing", "each", false), state("model", "team", true), state("drill", "tool", false)],
    },
    {
      id: "birch",
      name: "Birch",
      signed: { by: "Mara", at: "", missing: "" },
      states: [state("drawing", "each", true)],
    },
  ],
} as unknown as Gate;
const teams = [
  {
    id: "alder",
    members: [
      { id: "ada", name: "Ada" },
      { id: "ben", name: "Ben" },
    ],
  },
];
const tick = (itemId: string, more: object) => ({ itemId, teamId: null, personId: null, ...more });
const ticks = [tick("drawing", { personId: "ada" }), tick("model", { teamId: "alder" })] as never;
const staff = { staff: true, person: "mara", team: null };
const lines = (reader = staff as Parameters<typeof gateLines>[3]) => gateLines(gate, teams, ticks, reader);

test("staff see every team, and tick for teams and for each member", () => {
  const [alder, birch] = lines();
  expect([alder!.missing, birch!.missing, birch!.signed?.by]).toEqual([2, 0, "Mara"]);
  expect(alder!.cells[0]!.each).toEqual([
    { label: "Ada", personId: "ada", on: true },
    { label: "Ben", personId: "ben", on: false },
  ]);
  expect(alder!.cells[1]!.team).toEqual({ label: "it is there", teamId: "alder", on: true });
  expect(alder!.cells.map((c) => c.own)).toEqual([null, null, null]);
});

test("a student sees the own team alone, and hands in the own alone", () => {
  const of = (person: string) => lines({ staff: false, person, team: "alder" });
  expect(of("ada").map((l) => l.name)).toEqual(["Alder"]);
  expect(of("ada")[0]!.cells.map((c) => c.own?.label ?? null)).toEqual(["my own", null, null]);
  expect(of("ben")[0]!.cells[0]!.own).toEqual({ label: "I hand mine in", personId: "ben", on: false });
  expect(of("ben")[0]!.cells.every((c) => c.team === null && c.each.length === 0)).toBe(true);
  expect(lines({ staff: false, person: "zoe", team: null })).toEqual([]);
});

test("a tool is not ticked here: its signatures stand in the shop", () => {
  const tool = lines()[0]!.cells[2]!;
  expect([tool.team, tool.each, tool.own, tool.met]).toEqual([null, [], null, false]);
});

test("a team that nobody knows has nobody to tick for", () => expect(lines()[1]!.cells[0]!.each).toEqual([]));
