import { sessionsOn } from "@/stages/testing/rows";
import type { DepartmentRow } from "./department";
import { editionsOf, loadsOf, standing } from "./department-view";

const project = (id: string, more: Partial<Record<keyof DepartmentRow, unknown>> = {}): DepartmentRow =>
  ({
    id,
    slug: id,
    title: id,
    startsOn: "2027-02-01",
    endsOn: "2027-03-26",
    eventOn: null,
    finishedAt: null,
    editionOf: null,
    minutes: 50,
    machines: [],
    best: null,
    ...more,
  }) as unknown as DepartmentRow;
const calendar = (...days: string[]) => ({ of: new Map([["a", sessionsOn(...days)]]) });
const week = calendar("2027-02-22", "2027-03-01", "2027-03-02", "2027-03-04", "2027-03-08");

test("a project stands in a session, before its first, behind its last, or is finished", () => {
  const at = (today: string, more = {}) => standing(project("p", more), week, today);
  expect(at("2027-03-02")).toBe("session 3 of 5");
  expect(at("2027-02-20")).toBe("not begun");
  expect(at("2027-03-02", { startsOn: "2027-03-03" })).toBe("not begun");
  expect(at("2027-03-09")).toBe("over, not finished");
  expect(at("2027-03-09", { finishedAt: "2027-03-08" })).toBe("finished");
  expect(standing(project("p"), undefined, "2027-03-02")).toBe("not begun");
});

test("a machine is as full as what is booked of its classes' minutes in the week; finished projects have none", () => {
  const machines = [{ name: "Laser", booked: 60 }];
  const rows = [
    project("a", { machines: [...machines, { name: "Drill", booked: 120 }] }),
    project("b", { machines, finishedAt: "2027-03-01" }),
    project("c", { machines }),
  ];
  const loads = loadsOf(rows, new Map([["a", week]]), "2027-03-01", "2027-03-07");
  expect(loads.map((l) => [l.project, l.machine, l.booked, l.room])).toEqual([
    ["a", "Drill", 120, 150],
    ["a", "Laser", 60, 150],
    ["c", "Laser", 60, 0],
  ]);
});

test("editions stand in a row, the oldest first; a single one, or one that nobody measured, is none", () => {
  const best = { value: 9, name: "Flow", unit: "L/min", better: "more" };
  const rows = [
    project("third", { editionOf: "second", best }),
    project("first"),
    project("second", { editionOf: "first" }),
    project("alone", { best }),
    project("next", { editionOf: "untested" }),
    project("untested"),
  ];
  expect(editionsOf(rows).map((c) => c.map((p) => p.id))).toEqual([["first", "second", "third"]]);
});
