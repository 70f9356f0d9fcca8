import { onBoard } from "./board";

const at = (id: string, state: string) => ({ id, state });
const shown = (...of: Parameters<typeof onBoard>) => {
  const { event, race } = onBoard(...of);
  return [event?.id, race?.id];
};

test("a board shows what it was asked for; else what runs, attempts first; else the last that was confirmed", () => {
  const events = [at("lift", "set up"), at("fill", "running")];
  const races = [at("race", "running")];
  expect(shown(events, races, "race")).toEqual([undefined, "race"]);
  expect(shown(events, races, "gone")).toEqual(["fill", undefined]);
  expect(shown([at("lift", "confirmed")], races)).toEqual([undefined, "race"]);
  expect(shown([at("lift", "confirmed")], [at("race", "set up")])).toEqual(["lift", undefined]);
  expect(shown([at("lift", "set up")], [at("race", "set up")])).toEqual(["lift", undefined]);
  expect(shown([], [at("race", "set up")])).toEqual([undefined, "race"]);
  expect(shown([], [])).toEqual([undefined, undefined]);
});
