import { freeName, joiningOf, lookingFor } from "./choosing";

const team = (sectionId: string | null, ...ids: string[]) => ({ sectionId, members: ids.map((id) => ({ id })) });
const me = { id: "me", sectionId: "s1" };

test("a team may be joined in the own section, with a place free, by whom nobody in it is kept apart from", () => {
  expect(joiningOf(team("s1", "a", "b"), me, 3, [])).toBe("open");
  expect(joiningOf(team(null, "a"), me, 3, [])).toBe("open");
  expect(joiningOf(team("s1", "a", "b", "c"), me, 3, [])).toBe("full");
  expect(joiningOf(team("s1", "a", "me", "c"), me, 3, [])).toBe("mine");
  expect(joiningOf(team("s2", "a"), me, 3, [])).toBe("other section");
  expect(joiningOf(team("s1"), { id: "me", sectionId: undefined }, 3, [])).toBe("other section");
  expect(joiningOf(team("s1", "a"), me, 3, [["a", "me"]])).toBe("ask");
  expect(
    joiningOf(team("s1", "b"), me, 3, [
      ["a", "me"],
      ["a", "b"],
    ]),
  ).toBe("open");
});

test("how many it looks for is said until it is large enough", () => {
  expect([lookingFor(1, 3), lookingFor(3, 3), lookingFor(4, 3)]).toEqual(["looks for 2 more", "", ""]);
});

test("a name that is taken is numbered", () => {
  const used = new Set(["alder"]);
  expect([freeName("Alder", used), freeName("Alder", used), freeName("Birch", used)]).toEqual([
    "Alder 2",
    "Alder 3",
    "Birch",
  ]);
});
