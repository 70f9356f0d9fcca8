import { definition } from "@/stages/testing/definition";
import { aBuild, aProtocol } from "@/stages/testing/rows";
import { firstPlaces, olderRecord, recordedLines } from "./records";

test("on record are the primary measure and what is computed, not every reading", () => {
  const names = (primary: string) => recordedLines([aProtocol({ ...definition, primary })]).map((l) => l.channel.key);
  expect([names("Q"), names("m")]).toEqual([["Q"], ["m", "Q"]]);
});

test("first places name the build that was entered, and all who share them", () => {
  const standing = (id: string, place: number | null) => ({ id, name: id, place });
  const event = {
    standings: [standing("a", 1), standing("b", 1), standing("c", 3), standing("d", null)],
    entries: [
      { id: "a", buildId: "Alder G2" },
      { id: "b", buildId: null },
    ],
  };
  const found = firstPlaces([event as never], [aBuild("Alder", 1), aBuild("Alder", 2)]);
  expect(found.map((f) => [f.standing.name, f.build?.id])).toEqual([
    ["a", "Alder G2"],
    ["b", undefined],
  ]);
});

test("the record is an older edition's where that beats the newest one's", () => {
  const [a, b, c] = [{ value: 8 }, { value: 9 }, { value: 7 }];
  expect(olderRecord([a, b, c], "more")).toBe(b);
  expect(olderRecord([a, b, c], "less")).toBe(c);
  expect(olderRecord([b, a, c], "more")).toBeNull();
  expect(olderRecord([null, null, c], "more")).toBe(c);
  expect(olderRecord([a, { value: 8 }], "more")).toBeNull();
  expect(olderRecord([], "more")).toBeNull();
});
