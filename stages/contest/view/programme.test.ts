import type { ProgrammeEvent } from "../queries/programme";
import { programmeView } from "./programme";

const event = (more: Partial<ProgrammeEvent> & { name: string }): ProgrammeEvent =>
  ({
    id: more.name,
    format: "attempts",
    state: "running",
    version: 1,
    starts: 540,
    lanes: 2,
    minutes: "5",
    repair: 0,
    attempts: 2,
    teams: ["Alder", "Bramble"],
    made: [],
    ...more,
  }) as ProgrammeEvent;
const none = () => [];
/** An instant of a day at this time, as the database gives it. */
const at = (h: number, m: number) => new Date(2027, 2, 2, h, m).toISOString();

test("an event has its turns with their lanes, what was made of it, and when it ends", () => {
  const made = [{ entry: "Alder", attempt: 1, recordedAt: at(9, 5) }];
  const [lift] = programmeView([event({ name: "Lift", made })], none).events;
  expect(lift).toMatchObject({ from: "9:00", until: "9:10", late: "on time" });
  expect(lift!.turns.map((t) => [t.at, t.lane, t.team, t.attempt, t.made])).toEqual([
    ["9:00", 1, "Alder", 1, true],
    ["9:00", 2, "Bramble", 1, false],
    ["9:05", 1, "Bramble", 2, false],
    ["9:05", 2, "Alder", 2, false],
  ]);
  expect(lift!.lanes).toEqual([
    { team: "Alder", counts: [1, 1] },
    { team: "Bramble", counts: [1, 1] },
  ]);
});

test("one that is behind says by how much, and when it ends so; one that is ahead too; a confirmed one is done", () => {
  const late = (h: number, m: number, state: ProgrammeEvent["state"] = "running") =>
    programmeView([event({ name: "Lift", state, made: [{ entry: "Alder", attempt: 1, recordedAt: at(h, m) }] })], none)
      .events[0]!.late;
  expect(late(9, 17)).toBe("12 min behind: ends about 9:22");
  expect(late(9, 1)).toBe("4 min ahead: ends about 9:06");
  expect(late(9, 17, "confirmed")).toBe("");
});

test("matches end after their rounds, what has no beginning is not in it, and who is wanted twice is named", () => {
  const { events, clashes } = programmeView(
    [
      event({ name: "Lift" }),
      event({ name: "Fill", starts: 544, lanes: 1, attempts: 1 }),
      event({ name: "Race", starts: 600, lanes: 1, attempts: null }),
      event({ name: "Later", starts: null }),
    ],
    () => [2, 1],
  );
  expect(events.map((e) => [e.id, e.from, e.until])).toEqual([
    ["Lift", "9:00", "9:10"],
    ["Fill", "9:04", "9:14"],
    ["Race", "10:00", "10:15"],
  ]);
  expect(clashes[0]).toBe("Alder is in Lift until 9:05 and in Fill from 9:04.");
});
