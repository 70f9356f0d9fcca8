/** @jest-environment jsdom */
// A whole class entered by numbers and Enter alone, or pasted; nothing that is typed is lost.
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { Condition, Measure } from "@/core/run/protocol";
import { box as record } from "@/ui/testing/boxed";
import { emptyBoxes, kept } from "@/ui/testing/waiting";
import { pastedCells, stateTyped } from "../view/reading";
import { ClassGrid } from "./class-grid";

const router = { refresh: jest.fn() };
jest.mock("next/navigation", () => ({ useRouter: () => router }));
jest.mock("@/ui/boxed", () => jest.requireActual("@/ui/testing/boxed").boxes);
interface Sent {
  buildId: string;
  state: string;
  readings: Record<string, string>;
  conditions: Record<string, string>;
  sure: boolean;
}
const sent = () => record.mock.calls.map((c) => c[0] as Sent);

const mass = { key: "m", name: "Collected", unit: "kg", resolution: "0.05", min: "1", max: "15" };
const force = { key: "F", name: "Force", unit: "N", resolution: "0.5" };
const rows = ["Alder", "Birch", "Cedar"].map((name) => ({ buildId: name, name: `${name} G1`, runs: 0 }));
const lift: Condition = { key: "h", name: "Lift", unit: "m", target: "1.60", tolerance: "0.01" };
const open = (measures: readonly Measure[] = [mass], attempts = 2, conditions: readonly Condition[] = []) =>
  render(
    <ClassGrid rows={rows} conditions={conditions} measures={measures} protocolVersionId="v" attempts={attempts} />,
  );
const cell = (team: string, attempt: number, what = "Collected") =>
  screen.getByLabelText(new RegExp(`^${team} G1, attempt ${attempt}, ${what}`)) as HTMLInputElement;
beforeEach(async () => {
  await emptyBoxes();
  jest.clearAllMocks();
  localStorage.clear();
  record.mockResolvedValue({ ok: true, value: { attempt: 1 } });
});
afterEach(cleanup);

test("numbers and Enter go through the class, attempt after attempt, without a mouse", async () => {
  open();
  cell("Alder", 1).focus();
  await userEvent.keyboard("8.1{Enter}7{Enter}6.5{Enter}8.3{Enter}f{Enter}6.6{Enter}");
  await waitFor(() => expect(record).toHaveBeenCalledTimes(6));
  expect(sent().map((s) => [s.buildId, s.state, s.readings.m])).toEqual([
    ["Alder", "valid", "8.1"],
    ["Birch", "valid", "7"],
    ["Cedar", "valid", "6.5"],
    ["Alder", "valid", "8.3"],
    ["Birch", "foul", undefined],
    ["Cedar", "valid", "6.6"],
  ]);
  await waitFor(() => expect(screen.getAllByText("saved")).toHaveLength(6));
  expect(cell("Alder", 1).readOnly).toBe(true);
});

test("with two readings Enter goes to the second first, and what is missing is said beside it", async () => {
  open([mass, force], 1);
  cell("Alder", 1).focus();
  await userEvent.keyboard("8.1{Enter}{Enter}");
  expect(record).not.toHaveBeenCalled();
  expect(screen.getByText("Force is missing.")).toBeTruthy();
  await userEvent.type(cell("Alder", 1, "Force"), "34{Enter}");
  await waitFor(() => expect(sent().map((s) => s.readings)).toEqual([{ m: "8.1", F: "34" }]));
  expect(document.activeElement).toBe(cell("Birch", 1));
});

test("a block of a spreadsheet fills the cells from its first one on; what lies outside is left", async () => {
  open();
  fireEvent.paste(cell("Birch", 1), { clipboardData: { getData: () => "7.1\t7.2\t7.3\r\n6.1\t\r\n9\t9\r\n" } });
  await waitFor(() => expect(record).toHaveBeenCalledTimes(3));
  expect(sent().map((s) => [s.buildId, s.readings.m])).toEqual([
    ["Birch", "7.1"],
    ["Cedar", "6.1"],
    ["Birch", "7.2"],
  ]);
  expect(cell("Cedar", 2).value).toBe("");
});

test("what the server refuses stays typed with its reason; what it asks about is sure the second time", async () => {
  record.mockResolvedValueOnce({ ok: false, kind: "invalid", message: "Is that right?", fields: { sure: "?" } });
  open();
  cell("Alder", 1).focus();
  await userEvent.keyboard("86{Enter}");
  await screen.findByText("Is that right?");
  expect([cell("Alder", 1).value, cell("Alder", 1).readOnly]).toEqual(["86", false]);
  cell("Alder", 1).focus();
  await userEvent.keyboard("{Enter}");
  await screen.findByText("saved");
  expect(sent().map((s) => s.sure)).toEqual([false, true]);
});

test("nonsense is refused beside its field before it is sent", async () => {
  open();
  cell("Alder", 1).focus();
  await userEvent.keyboard("8 apples{Enter}");
  expect(record).not.toHaveBeenCalled();
  expect(cell("Alder", 1).getAttribute("aria-invalid")).toBe("true");
  expect(cell("Alder", 1).value).toBe("8 apples");
});

test("without a network an attempt waits and is named; it is kept through a reload", async () => {
  record.mockRejectedValue(new Error("offline"));
  open();
  cell("Alder", 1).focus();
  await userEvent.keyboard("8.1{Enter}");
  expect(await screen.findByText(/Alder G1: Collected 8.1 kg/)).toBeTruthy();
  cleanup();
  record.mockResolvedValue({ ok: true, value: { attempt: 1 } });
  open();
  await waitFor(() => expect(sent().at(-1)).toMatchObject({ buildId: "Alder", readings: { m: "8.1" } }));
  await waitFor(async () => expect(await kept("bench.grid.v")).toEqual([]));
});

test("words in place of a reading, and cells as a spreadsheet copies them", () => {
  expect(["f", " Foul", "NF", "no finish", "8", "four"].map(stateTyped)).toEqual([
    "foul",
    "foul",
    "no_finish",
    "no_finish",
    "valid",
    "valid",
  ]);
  expect(pastedCells("1\t2\r\n3\t\n")).toEqual([
    ["1", "2"],
    ["3", ""],
  ]);
});

describe("conditions as they were measured", () => {
  test("go with every attempt that follows, until they are changed", async () => {
    open([mass], 1, [lift]);
    const field = screen.getByLabelText(/^Lift/);
    await userEvent.type(field, "1.61 m");
    expect(screen.queryByText(/outside the tolerance/)).toBeNull();
    await userEvent.type(cell("Alder", 1), "8{Enter}");
    await userEvent.clear(field);
    await userEvent.type(field, "5 ft 4 in");
    expect(screen.getByText("outside the tolerance: the run will not be comparable")).toBeTruthy();
    await userEvent.type(cell("Birch", 1), "7{Enter}");
    await waitFor(() => expect(sent().map((s) => s.conditions.h)).toEqual(["1.61 m", "5 ft 4 in"]));
  });
  test("that cannot be read keep the attempt back, beside its field", async () => {
    open([mass], 1, [lift]);
    await userEvent.type(screen.getByLabelText(/^Lift/), "high");
    await userEvent.type(cell("Alder", 1), "8{Enter}");
    expect(screen.getByText("The condition Lift cannot be read: look above.")).toBeTruthy();
    expect(record).not.toHaveBeenCalled();
  });
});
