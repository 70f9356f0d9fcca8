/** @jest-environment jsdom */
// Time at a machine: asked for by a team, shown with what is missing, placed, begun and ended.
import "@/ui/testing/browser";
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { loadSelect } from "@/ui/select";
import { choose, press } from "@/ui/testing/hands";
import { answer, forget, last, sent } from "@/ui/testing/sent";
import { takeUnheard } from "@/ui/toast";
import type { Slot } from "../view/bookings";
import { EndBooking, PlanQueue } from "./booking-acts";
import { AskBooking, type BookingTeam } from "./booking-form";
import { BookingRow } from "./booking-row";
import { KeepIncident, ReportIncident } from "./incident-form";
import { CountKit } from "./kit-forms";

jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);
jest.mock("../actions", () => jest.requireActual("@/ui/testing/sent").actions);

const id = (n: number) => `0190a0b0-0000-7000-8000-00000000000${n}`;
beforeAll(() => loadSelect());
beforeEach(() => {
  forget();
  takeUnheard();
});
const said = () => takeUnheard().map((x) => x.text);

const team = (n: number, name: string, members: string[], pieces: string[] = []): BookingTeam => ({
  id: id(n),
  name,
  members: members.map((label, i) => ({ value: id(n + i + 4), label })),
  pieces: pieces.map((label) => ({ value: id(9), label })),
});

describe("asking", () => {
  const teams = [team(1, "Alder", ["Ada, trained"]), team(2, "Birch", ["Ben, not trained"], ["Cover"])];
  const open = (own?: string) =>
    render(
      <AskBooking toolId={id(0)} machine="Band saw" teams={own ? [teams[0]!] : teams} own={own} needBy="2027-03-05" />,
    );

  test("who can stand at the machine and which piece follow the chosen team", async () => {
    open();
    await press("Ask for Band saw");
    await userEvent.click(screen.getByRole("combobox", { name: "At the machine" }));
    expect(screen.getAllByRole("option").map((o) => o.textContent)).toEqual(["named later", "Ada, trained"]);
    await userEvent.keyboard("{Escape}");
    expect(screen.queryByRole("combobox", { name: "Piece" })).toBeNull();
    await choose("Team", "Birch");
    await choose("At the machine", "Ben, not trained");
    await choose("Piece", "Cover");
    await userEvent.type(screen.getByLabelText("What for"), "Cover of the drum");
    await press("Ask");
    await waitFor(() =>
      expect(last()).toMatchObject({
        action: "askBookingAction",
        input: { toolId: id(0), teamId: id(2), operatorId: id(6), pieceId: id(9), minutes: "20", needBy: "2027-03-05" },
      }),
    );
    expect(said()).toEqual(["It waits in the queue."]);
  });

  test("a student asks for the own team, and twice is two bookings", async () => {
    open(id(1));
    for (const what of ["Frames", "Feet"]) {
      await press("Ask for Band saw");
      expect(screen.queryByRole("combobox", { name: "Team" })).toBeNull();
      await userEvent.type(screen.getByLabelText("What for"), what);
      await press("Ask");
      await waitFor(() => expect(screen.queryByLabelText("What for")).toBeNull());
    }
    const [first, second] = sent.map((s) => s.input as { id: string; teamId: string; what: string });
    expect([first!.what, second!.what]).toEqual(["Frames", "Feet"]);
    expect(first!.teamId).toBe(id(1));
    expect(second!.id).not.toBe(first!.id);
  });
});

describe("a row of the week", () => {
  const row = (more: object, booking: object = {}, may = { own: true, place: true }) =>
    render(
      <BookingRow
        slot={
          {
            state: "stands",
            lacks: [],
            late: false,
            missed: false,
            booking: {
              id: id(1),
              version: 2,
              team: "Alder",
              what: "Frames",
              material: "",
              minutes: 20,
              needBy: "2027-03-05",
              operator: "Ada",
              operatorId: id(5),
              pieceId: null,
              once: false,
              piece: null,
              starts: 10,
              usedMinutes: null,
              outcome: null,
              seen: "",
              ...booking,
            },
            ...more,
          } as unknown as Slot
        }
        slug="pump"
        when="10–30"
        needed="5 Mar"
        may={may}
        times={[{ value: "s 2027-03-09 1", label: "9 Mar" }]}
        team={undefined}
        time="s 2027-03-02 1"
        running={0}
      />,
    );
  const buttons = () => screen.queryAllByRole("button").map((b) => b.textContent);

  test("what is missing is said in words, and why it is late; the piece that is cut once stands out", () => {
    row({ lacks: ["untrained", "not checked"], late: true }, { once: true, operator: null });
    const words = screen.getByRole("listitem").textContent;
    expect(words).toContain("nobody named yet · needed by 5 Mar");
    expect(words).toContain("cut once only");
    expect(words).toContain("after the day it is needed");
    expect(words).toContain("not trained · machine not looked at today");
  });

  test("one whose day is over says that first: what is missing does not matter any more", () => {
    row({ missed: true, lacks: ["untrained"] });
    expect(screen.getByText("did not begin on its day")).toBeTruthy();
    expect(screen.queryByText(/not trained/)).toBeNull();
  });

  test.each([
    ["waits", ["move", "take out"]],
    ["stands", ["Begin", "move", "take out"]],
    ["runs", ["End"]],
    ["over", ["correct"]],
  ])("%s: only what can be done is offered", (state, offered) => {
    row({ state }, { usedMinutes: 25, outcome: "done" });
    expect(buttons()).toEqual(offered);
  });

  test("another team's row offers nothing; a student does not place", () => {
    const { unmount } = row({}, {}, { own: false, place: false });
    expect(buttons()).toEqual([]);
    unmount();
    row({}, {}, { own: true, place: false });
    expect(buttons()).toEqual(["Begin", "take out"]);
  });

  test("a time is moved to another session, or back to waiting", async () => {
    row({});
    await press("move");
    await choose("Session", "9 Mar");
    const starts = screen.getByLabelText("Begins at minute");
    expect(starts).toHaveProperty("value", "10");
    await userEvent.clear(starts);
    await userEvent.type(starts, "0");
    await press("Save");
    await waitFor(() =>
      expect(last()).toMatchObject({
        action: "placeBookingAction",
        input: { id: id(1), version: 2, time: "s 2027-03-09 1", starts: "0" },
      }),
    );
  });
});

test.each([
  [{ placed: 3, late: 0, without: 0 }, "3 of 3 have a time."],
  [{ placed: 2, late: 1, without: 0 }, "2 of 2 have a time. 1 come after the day on which they are needed."],
  [{ placed: 1, late: 0, without: 2 }, "1 of 3 have a time. 2 find no room before the project ends."],
])("the queue is planned at once, and what it came to is said: %o", async (value, says) => {
  render(<PlanQueue toolId={id(0)} waiting={value.placed + value.without} />);
  answer("planQueueAction", { ok: true, value });
  await userEvent.click(screen.getByRole("button"));
  await waitFor(() => expect(said()).toEqual([says]));
});

test("a time is ended with the minutes that it ran, and corrected later", async () => {
  render(<EndBooking id={id(1)} version={4} used={23} outcome="done" seen="" over={false} />);
  await press("End");
  await userEvent.type(screen.getByLabelText("What was seen"), "the blade is dull");
  await press("Save");
  await waitFor(() =>
    expect(last().input).toMatchObject({
      id: id(1),
      version: 4,
      used: "23",
      outcome: "done",
      seen: "the blade is dull",
    }),
  );
});

test("a kit is counted back as it went out unless something is missing, which is said", async () => {
  const lines = [
    { name: "clamp", count: 4 },
    { name: "ruler", count: 1 },
  ];
  render(<CountKit id={id(1)} version={1} lines={lines} counted={null} note="" />);
  await press("count back");
  const clamps = screen.getByLabelText("clamp, of 4");
  expect(clamps).toHaveProperty("value", "4");
  await userEvent.clear(clamps);
  await userEvent.type(clamps, "3");
  answer("countKitAction", { ok: true, value: { missing: ["1 × clamp"] } });
  await press("Counted");
  await waitFor(() => expect(said()).toEqual(["Missing: 1 × clamp."]));
  expect(last().input).toMatchObject({ counted: ["3", "1"] });
});

describe("an incident", () => {
  test("is told without names, and asks for what was seen", async () => {
    render(<ReportIncident projectId={id(0)} tools={[]} today="2027-03-02" />);
    await press("Tell what happened, or nearly");
    expect(screen.getByText(/No names: say “a student”/)).toBeTruthy();
    await press("Send it");
    expect(await screen.findByText("Look at the marked fields.")).toBeTruthy();
    expect(sent).toEqual([]);
    await userEvent.type(screen.getByLabelText("What happened"), "A student slipped.");
    await press("Send it");
    await waitFor(() => expect(last()).toMatchObject({ action: "reportIncidentAction" }));
    expect(last().input).toMatchObject({ projectId: id(0), kind: "near miss", onDate: "2027-03-02" });
    expect(said()).toEqual(["Your instructors have it."]);
  });

  test("is closed and opened again by one press", async () => {
    const typed = {
      kind: "near miss",
      onDate: "2027-03-01",
      toolId: "",
      place: "",
      what: "x",
      done: "",
      told: "",
      changed: "",
    };
    const { rerender } = render(<KeepIncident id={id(1)} version={1} tools={[]} typed={typed} closed={false} />);
    expect(screen.getByRole("button", { name: "say who was told and what was changed" })).toBeTruthy();
    await press("close it");
    expect(last()).toEqual({ action: "closeIncidentAction", input: { id: id(1), version: 1, closed: true } });
    rerender(<KeepIncident id={id(1)} version={2} tools={[]} typed={{ ...typed, changed: "a mat" }} closed />);
    expect(screen.getByRole("button", { name: "correct" })).toBeTruthy();
    await press("open it again");
    expect(last().input).toEqual({ id: id(1), version: 2, closed: false });
  });
});
