import type { KeptModel } from "../queries/kept";
import { modelState } from "./models";

const loan = (over: object) =>
  ({
    id: "a",
    lentTo: "3b",
    lentOn: "2027-01-01",
    dueOn: null,
    backOn: null,
    version: 1,
    ...over,
  }) as KeptModel["loans"][number];
const of = (loans: KeptModel["loans"], scrappedOn: string | null = null) =>
  modelState({ loans, scrappedOn }, "2027-03-02");

test("it is late from the day after the one on which it was due", () => {
  expect(of([loan({ dueOn: "2027-03-02" })]).late).toBe(false);
  expect(of([loan({ dueOn: "2027-03-01" })]).late).toBe(true);
  expect(of([loan({})]).late).toBe(false);
});

test("the last loan can be taken up again only while the model is here", () => {
  const back = [loan({ id: "new", backOn: "2027-02-01" }), loan({ id: "old", backOn: "2026-02-01" })];
  expect(of(back).again).toBe("new");
  expect(of([loan({}), ...back]).again).toBeUndefined();
  expect(of(back, "2027-02-20")).toMatchObject({ again: undefined, gone: true });
});
