import { definition } from "@/stages/testing/definition";
import { tryProtocol } from "./try";

test("example readings come to what a run would, with its ±", () => {
  expect(tryProtocol(definition, { m: "8.6 kg" })).toEqual({
    problems: [],
    readings: {},
    values: [{ key: "Q", name: "Flow", shown: "8.617 ± 0.029 L/min", why: "" }],
    alarms: [],
  });
});

test("without a reading it says which is missing; one that cannot be read is named by its symbol", () => {
  expect(tryProtocol(definition, {}).values[0]).toMatchObject({ shown: "", why: "Not yet read: m." });
  expect(tryProtocol(definition, { m: "8 L" }).readings.m).toContain("takes a mass");
});

test("an odd reading and a broken formula say so; a half-written protocol says nothing yet", () => {
  expect(tryProtocol(definition, { m: "86" }).alarms).toEqual(["Collected is usually 1 to 15 kg: check the reading."]);
  const broken = { ...definition, derived: [{ ...definition.derived[0]!, expression: "m * t" }] };
  expect(tryProtocol(broken, { m: "8" }).problems[0]).toContain("but a flow is declared");
  expect(tryProtocol({ ...definition, measures: [{ key: "" }] }, {})).toEqual({
    problems: [],
    readings: {},
    values: [],
    alarms: [],
  });
});
