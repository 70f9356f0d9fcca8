import { onBoard } from "./board";

const at = (id: string, state: string) => ({ id, state });

test("a board shows what it was asked for; else what runs, the first of it; else the last that was confirmed", () => {
  const all = [at("lift", "set up"), at("fill", "running"), at("race", "running")];
  expect(onBoard(all, "race")).toBe("race");
  expect(onBoard(all, "gone")).toBe("fill");
  expect(onBoard([at("lift", "confirmed"), at("race", "running")])).toBe("race");
  expect(onBoard([at("lift", "confirmed"), at("fill", "confirmed"), at("race", "set up")])).toBe("fill");
  expect(onBoard([at("lift", "set up"), at("race", "set up")])).toBe("lift");
  expect(onBoard([])).toBeUndefined();
});
