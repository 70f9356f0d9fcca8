import { definition } from "@/stages/testing/definition";
import { aProtocol } from "@/stages/testing/rows";
import type { BuildBest } from "../queries/board";
import { recordLines } from "./board";
import { recordedLines } from "./records";

const editions = [
  { id: "now", title: "This year", slug: "now" },
  { id: "then", title: "Last year", slug: "then" },
];
const protocol = aProtocol({ ...definition, primary: "Q" });
const best = (team: string, value: number, at: string, more: object = {}) =>
  ({
    buildId: `${team} ${value}`,
    number: 1,
    projectId: "now",
    team,
    section: "3",
    protocol: protocol.name,
    key: "Q",
    value,
    place: "bench",
    at,
    runs: 3,
    ...more,
  }) as unknown as BuildBest;

const lines = (bests: BuildBest[], of = protocol) => recordLines(recordedLines([of]), bests, editions, "2027-03-11");

test("a measure's record: who holds it, since when, whom it beat by how much, by edition and by class", () => {
  const [line, ...rest] = lines([
    best("Weir", 8.9, "2026-04-02T10:00:00Z", { projectId: "then" }),
    best("Alder", 8.2, "2027-02-01T10:00:00Z"),
    best("Cistern", 9.4, "2027-03-01T10:00:00Z", { section: "5" }),
    best("Gully", 9.4, "2027-03-02T10:00:00Z"),
    best("Gone", 99, "2027-03-03T10:00:00Z", { projectId: "another" }),
    best("Other", 99, "2027-03-03T10:00:00Z", { key: "F" }),
  ]);
  expect(rest).toEqual([]);
  expect(line).toMatchObject({
    holder: { name: "Cistern G1", on: "2027-03-01", shown: "9.40", runs: 3 },
    beat: "beat Weir G1 by 0.50",
    days: 10,
  });
  expect(line!.steps.map((s) => [s.holder.name, s.by, s.until])).toEqual([
    ["Cistern G1", "0.50", null],
    ["Weir G1", "", "2027-03-01"],
  ]);
  expect(line!.editions.map((h) => [h.edition.title, h.name])).toEqual([
    ["Last year", "Weir G1"],
    ["This year", "Cistern G1"],
  ]);
  expect(line!.classes.map((c) => [c.name, c.holder.name])).toEqual([
    ["Last year, section 3", "Weir G1"],
    ["This year, section 3", "Gully G1"],
    ["This year, section 5", "Cistern G1"],
  ]);
  expect(line!.working).toMatchObject({ result: "9.40", rule: expect.stringMatching(/^The largest/) });
});

test("where less is better the smallest holds it; without a value there is no line", () => {
  const less = aProtocol({ ...definition, primary: "Q", better: "less" });
  const [line] = lines([best("Alder", 5, "2027-02-01"), best("Weir", 7, "2027-01-01")], less);
  expect(line).toMatchObject({ holder: { name: "Alder G1" }, beat: "beat Weir G1 by 2.00" });
  expect(lines([])).toEqual([]);
});
