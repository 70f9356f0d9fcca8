/** @jest-environment jsdom */
// Entry at the bench by keyboard alone: nothing that a quick hand types is lost while an attempt is being saved.
import { act, cleanup, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { Measure } from "@/core/run/protocol";
import { exactly } from "@/core/run/reading";
import { box as record } from "@/ui/testing/boxed";
import { emptyBoxes, kept } from "@/ui/testing/waiting";
import { keepIn } from "@/ui/waiting-store";
import { AttemptEntry } from "./attempt-entry";

const refresh = jest.fn();
const router = { refresh };
jest.mock("next/navigation", () => ({ useRouter: () => router }));
jest.mock("@/ui/boxed", () => jest.requireActual("@/ui/testing/boxed").boxes);

const measures = [
  { key: "m", name: "Collected", unit: "kg", resolution: "0.05", min: "1", max: "15" },
  { key: "F", name: "Force", unit: "N", resolution: "0.5" },
];
function open(measured: readonly Measure[] = measures) {
  render(
    <table>
      <tbody>
        <AttemptEntry
          buildId="b"
          protocolVersionId="v"
          next={3}
          measures={measured}
          conditions={[]}
          before={{}}
          derived={1}
          lead={4}
        />
      </tbody>
    </table>,
  );
  return { mass: screen.queryByLabelText(/^Collected/)!, force: screen.queryByLabelText(/^Force/)! };
}
const readings = () => record.mock.calls.map((c) => (c[0] as { readings: unknown }).readings);
beforeEach(async () => {
  await emptyBoxes();
  jest.clearAllMocks();
  localStorage.clear();
});

test("Enter goes to the next field and saves from the last one", async () => {
  record.mockResolvedValue({ ok: true, value: { attempt: 3 } });
  const { mass, force } = open();
  await userEvent.type(mass, "8.6{Enter}");
  expect(document.activeElement).toBe(force);
  await userEvent.type(force, "34{Enter}");
  expect(await screen.findByText("Attempt 3 is saved.")).toBeTruthy();
  expect(readings()).toEqual([{ m: "8.6", F: "34" }]);
  expect((mass as HTMLInputElement).value).toBe("");
  expect(document.activeElement).toBe(mass);
});

test("without a keyboard Save, Foul and No finish are pressed; what is missing is said before", async () => {
  record.mockResolvedValue({ ok: true, value: { attempt: 3 } });
  const { mass } = open();
  await userEvent.type(mass, "8.6");
  await userEvent.click(screen.getByRole("button", { name: "Save" }));
  expect(screen.getByText("Force is missing.")).toBeTruthy();
  expect(record).not.toHaveBeenCalled();
  await userEvent.click(screen.getByRole("button", { name: "Foul" }));
  await waitFor(() => expect(record).toHaveBeenCalledTimes(1));
  await screen.findByText("Attempt 3 is saved.");
  await userEvent.click(screen.getByRole("button", { name: "No finish" }));
  await waitFor(() =>
    expect(record.mock.calls.map((c) => (c[0] as { state: string }).state)).toEqual(["foul", "no_finish"]),
  );
});

test("the next attempt, typed and sent while this one is on its way, is kept and saved after it", async () => {
  let answer: (a: unknown) => void = () => {};
  record
    .mockImplementationOnce(() => new Promise((r) => (answer = r)))
    .mockResolvedValueOnce({ ok: true, value: { attempt: 4 } });
  const { mass, force } = open();
  await userEvent.type(mass, "8.6");
  await userEvent.type(force, "34{Enter}");
  await waitFor(() => expect(record).toHaveBeenCalledTimes(1));
  await userEvent.clear(mass);
  await userEvent.type(mass, "8.8");
  await userEvent.clear(force);
  await userEvent.type(force, "35{Enter}");
  await act(async () => answer({ ok: true, value: { attempt: 3 } }));
  await waitFor(() => expect(record).toHaveBeenCalledTimes(2));
  expect(readings()).toEqual([
    { m: "8.6", F: "34" },
    { m: "8.8", F: "35" },
  ]);
  const ids = record.mock.calls.map((c) => (c[0] as { id: string }).id);
  expect(new Set(ids).size).toBe(2);
});

test("without a network the attempt waits, also through a reload, and is sent once when it is back", async () => {
  record.mockRejectedValueOnce(new Error("offline")).mockResolvedValueOnce({ ok: true, value: { attempt: 3 } });
  const { mass, force } = open();
  await userEvent.type(mass, "8.6");
  await userEvent.type(force, "34{Enter}");
  expect(await screen.findByText(/this attempt waits below/)).toBeTruthy();
  expect(screen.getByText("Collected 8.6 kg, Force 34 N")).toBeTruthy();
  // The fields are free for the next attempt; a reload shows what waits, and sends it under the same id.
  expect((mass as HTMLInputElement).value).toBe("");
  cleanup();
  open();
  await waitFor(() => expect(record).toHaveBeenCalledTimes(2));
  await waitFor(() => expect(screen.queryByText("Collected 8.6 kg, Force 34 N")).toBeNull());
  const ids = record.mock.calls.map((c) => (c[0] as { id: string }).id);
  expect(ids[0]).toBe(ids[1]);
});

test("a reading outside its range is asked about: sent again unchanged it is meant, changed it is not", async () => {
  const ask = { ok: false, kind: "invalid", message: "Collected is usually 1 to 15 kg.", fields: { sure: "?" } };
  record
    .mockResolvedValueOnce(ask)
    .mockResolvedValueOnce(ask)
    .mockResolvedValueOnce({ ok: true, value: { attempt: 3 } });
  const { mass, force } = open();
  await userEvent.type(mass, "86");
  await userEvent.type(force, "34{Enter}");
  expect(await screen.findByText("Collected is usually 1 to 15 kg.")).toBeTruthy();
  expect([(mass as HTMLInputElement).value, localStorage.length]).toEqual(["86", 0]);
  await userEvent.type(mass, "0");
  await userEvent.type(force, "{Enter}");
  await waitFor(() => expect(record).toHaveBeenCalledTimes(2));
  await userEvent.type(force, "{Enter}");
  expect(await screen.findByText("Attempt 3 is saved.")).toBeTruthy();
  expect(record.mock.calls.map((c) => (c[0] as { sure: boolean }).sure)).toEqual([false, false, true]);
});

test("a reading that cannot be read is named and nothing is sent", async () => {
  const { force } = open();
  await userEvent.type(force, "34{Enter}");
  expect(await screen.findByText("Collected is missing.")).toBeTruthy();
  expect(record).not.toHaveBeenCalled();
});

test("one that waited from before and is refused while the next is saved is not lost", async () => {
  const before = {
    id: "old",
    buildId: "b",
    state: "valid",
    readings: { m: "7.7", F: "30" },
    conditions: {},
    sure: false,
  };
  await keepIn("bench.b.v", { id: "old", input: before, sent: false } as never);
  let answer: (a: unknown) => void = () => {};
  record
    .mockImplementationOnce(() => new Promise((r) => (answer = r)))
    .mockResolvedValueOnce({ ok: true, value: { attempt: 3 } });
  const { mass, force } = open();
  await waitFor(() => expect(record).toHaveBeenCalledTimes(1));
  await userEvent.type(mass, "8.6");
  await userEvent.type(force, "34{Enter}");
  await act(async () => answer({ ok: false, kind: "refused", message: "Lift test has a newer version." }));
  expect(await screen.findByText("Attempt 3 is saved.")).toBeTruthy();
  expect(screen.getByText("Collected 7.7 kg, Force 30 N")).toBeTruthy();
  expect((await kept("bench.b.v")).map((x) => x.id)).toEqual(["old"]);
});

describe("a level", () => {
  const levels = ["intact", "cracked", "broken"];
  const damage: Measure = { key: "d", name: "Damage", ...exactly, kind: "level", levels };
  test("is typed by its beginning, or pressed; the field says which there are", async () => {
    record.mockResolvedValue({ ok: true, value: { attempt: 3 } });
    open([damage]);
    const field = screen.getByLabelText("Damage, attempt 3: intact, cracked, broken");
    await userEvent.type(field, "cra{Enter}");
    await screen.findByText("Attempt 3 is saved.");
    await userEvent.click(screen.getByRole("button", { name: "broken" }));
    expect(document.activeElement).toBe(field);
    expect(screen.getByRole("button", { name: "broken" }).getAttribute("aria-pressed")).toBe("true");
    await userEvent.keyboard("{Enter}");
    await waitFor(() => expect(readings()).toEqual([{ d: "cra" }, { d: "broken" }]));
  });
  test("that there is not is said beside the field, and not sent", async () => {
    open([damage]);
    await userEvent.type(screen.getByLabelText(/^Damage/), "bent{Enter}");
    expect(screen.getAllByText("“bent” is none of “intact”, “cracked”, “broken”.").length).toBeGreaterThan(0);
    expect(record).not.toHaveBeenCalled();
  });
});
