/** @jest-environment jsdom */
// Scoring beside the field: no attempt is lost without a network, none is sent twice, and an odd one is asked about.
import { act, cleanup, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { freshDay, inDay, network } from "@/stages/testing/day";
import { kept } from "@/ui/testing/waiting";
import type { FieldRow, FieldRules } from "../view/field";
import { Field } from "./field";
import "@/ui/testing/browser";

const router = { refresh: jest.fn() };
jest.mock("next/navigation", () => ({ useRouter: () => router }));
jest.mock("../actions", () => ({ settleAttemptAction: jest.fn(), voidAttemptAction: jest.fn() }));

const rules: FieldRules = {
  eventId: "race",
  n: 3,
  readings: [{ key: "t", name: "Time", unit: "s", resolution: "0.1" }],
  twice: [],
  penalties: [],
  where: false,
  says: [],
};
const row = (more: Partial<FieldRow> = {}): FieldRow => ({
  id: "e",
  team: "Alder",
  order: 1,
  build: "G3",
  buildId: "b",
  inspection: "passed",
  note: "",
  live: 1,
  last: 1,
  attempts: [],
  earlier: 0,
  twice: [],
  ...more,
});
const open = (more: Partial<FieldRules> = {}, rows = [row()], next?: string[]) =>
  inDay(<Field rows={rows} rules={{ ...rules, ...more }} blocked={false} confirmed={false} via="guest" open={next} />);
const time = () => screen.getByLabelText(/^Time(?!,)/) as HTMLInputElement;
const save = (n: number) => screen.findByRole("button", { name: `Save attempt ${n} of 3` });
const sent = (i: number) => network.mock.calls[i]![0];

beforeEach(() => freshDay({ attempt: 2, twice: null }));

test("an attempt is saved once, by the guest of this device; the next one is its successor", async () => {
  open();
  await userEvent.type(time(), "41.2");
  await userEvent.dblClick(await save(2));
  expect(await screen.findByText("Alder: attempt 2 is saved.")).toBeTruthy();
  expect(network.mock.calls).toHaveLength(1);
  expect(sent(0)).toMatchObject({ entryId: "e", nth: 2, state: "valid", readings: { t: "41.2" } });
  expect(network.mock.calls[0]![1]).toMatchObject({ what: "attempt", via: "guest" });
  expect(await save(3)).toBeTruthy();
});

test("while one is being saved it stays in its fields, and the next one cannot be typed over it", async () => {
  let answer: (a: unknown) => void = () => {};
  network.mockReset().mockImplementationOnce(() => new Promise((r) => (answer = r)));
  open();
  await userEvent.type(time(), "41.2");
  await userEvent.click(await save(2));
  await waitFor(() => expect(network).toHaveBeenCalledTimes(1));
  await userEvent.type(time(), "39");
  expect([time().value, time().readOnly]).toEqual(["41.2", true]);
  expect(screen.getByRole("form", { name: "Attempt 2 of Alder" })).toBeTruthy();
  await act(async () => answer({ ok: true, value: { attempt: 2, twice: null } }));
  expect(await save(3)).toBeTruthy();
  expect([time().value, time().readOnly]).toEqual(["", false]);
});

test("what was sent does not stand in its fields again where the page has moved on before the answer", async () => {
  let answer: (a: unknown) => void = () => {};
  network.mockReset().mockImplementationOnce(() => new Promise((r) => (answer = r)));
  open();
  await userEvent.type(time(), "41.2");
  await userEvent.click(await save(2));
  await waitFor(() => expect(network).toHaveBeenCalledTimes(1));
  cleanup();
  await act(async () => answer({ ok: true, value: { attempt: 2, twice: null } }));
  open();
  await save(2);
  expect(time().value).toBe("");
});

test("without a network attempts wait in their order, also through a reload, and go by themselves once", async () => {
  network.mockRejectedValue(new Error("offline"));
  open();
  await userEvent.type(time(), "41.2");
  await userEvent.click(await save(2));
  expect(await screen.findByText(/this attempt waits/)).toBeTruthy();
  await userEvent.type(time(), "40.9");
  await userEvent.click(await save(3));
  expect(await screen.findByText("All 3 attempts are in.")).toBeTruthy();
  expect(screen.getByText("2 wait in this browser.")).toBeTruthy();
  cleanup();
  network.mockReset().mockResolvedValueOnce({ ok: true, value: { attempt: 2 } });
  network.mockResolvedValueOnce({ ok: true, value: { attempt: 3 } });
  open();
  await waitFor(() => expect(network).toHaveBeenCalledTimes(2));
  expect([sent(0), sent(1)].map((x) => [x.nth, x.readings])).toEqual([
    [2, { t: "41.2" }],
    [3, { t: "40.9" }],
  ]);
  await waitFor(async () => expect(await kept("contest")).toEqual([]));
  expect(await screen.findByText("Alder, attempt 3: Time 40.9 s: saved.")).toBeTruthy();
});

test("what the server refuses stays in the fields; an odd time is taken when it is sent once more", async () => {
  network.mockResolvedValueOnce({
    ok: false,
    kind: "invalid",
    message: "Time is usually 20 to 90 s.",
    fields: { sure: "?" },
  });
  open();
  await userEvent.type(time(), "412");
  await userEvent.click(await save(2));
  expect(await screen.findByText("Time is usually 20 to 90 s.")).toBeTruthy();
  expect(time().value).toBe("412");
  await userEvent.click(await save(2));
  expect(await screen.findByText("Alder: attempt 2 is saved.")).toBeTruthy();
  expect([sent(0).sure, sent(1).sure]).toEqual([false, true]);
});

test("the last one that is refused is told so too", async () => {
  network.mockResolvedValueOnce({ ok: false, kind: "refused", message: "The event is halted." });
  open({ n: 2 });
  await userEvent.type(time(), "41.2");
  await userEvent.click(await screen.findByRole("button", { name: "Save attempt 2 of 2" }));
  expect(await screen.findByText("The event is halted.")).toBeTruthy();
  expect(time().value).toBe("41.2");
});

test("one that waited from before and is refused stays with its reason; what is being typed stays too", async () => {
  network.mockRejectedValueOnce(new Error("offline"));
  open();
  await userEvent.type(time(), "40.1");
  await userEvent.click(await save(2));
  expect(await screen.findByText(/this attempt waits/)).toBeTruthy();
  cleanup();
  let answer: (a: unknown) => void = () => {};
  network.mockReset().mockImplementationOnce(() => new Promise((r) => (answer = r)));
  open();
  await waitFor(() => expect(network).toHaveBeenCalledTimes(1));
  await userEvent.type(time(), "41.2");
  await act(async () => answer({ ok: false, kind: "refused", message: "Alder was turned away at inspection." }));
  expect(await screen.findByText("Alder was turned away at inspection.")).toBeTruthy();
  expect(screen.getByText("Alder, attempt 2: Time 40.1 s")).toBeTruthy();
  expect(time().value).toBe("41.2");
  expect(JSON.stringify(await kept("contest"))).toContain("40.1");
});

test("what two people scored is said, with both records and a press for each way", async () => {
  network.mockResolvedValue({ ok: true, value: { attempt: 3, twice: "differs" } });
  const of = (text: string, by: string) => ({ id: by, number: 1, text, state: "valid" as const, version: 1, by });
  open({}, [row({ twice: [{ first: of("41.2 s", "Gate"), second: of("41.8 s", "Finish") }] })]);
  const both = screen.getByRole("region", { name: "Attempt 1 of Alder, scored by two people" });
  expect(both.textContent).toContain("First: 41.2 s by Gate");
  expect(both.querySelectorAll("button")).toHaveLength(3);
  await userEvent.type(time(), "39");
  await userEvent.click(await save(2));
  expect(await screen.findByText(/somebody else scored attempt 2 too/)).toBeTruthy();
});

test("two readers, penalties with what was seen, and what a foul had reached go along", async () => {
  const line = { key: "line", name: "Line crossed", charge: "+5 s" };
  open({ twice: ["t"], penalties: [line], where: true, says: ["Two people read."] });
  expect(screen.getByText("Two people read.")).toBeTruthy();
  await userEvent.type(time(), "41.2");
  await userEvent.click(await save(2));
  expect(await screen.findByText(/^Time, second reader: /)).toBeTruthy();
  await userEvent.type(screen.getByLabelText(/^Time, second reader/), "41.3");
  const more = screen.getByRole("button", { name: "One Line crossed more" });
  await userEvent.dblClick(more);
  await userEvent.click(screen.getByRole("button", { name: "One Line crossed less" }));
  await userEvent.type(screen.getByLabelText("What was seen: Line crossed"), "left wheel");
  await userEvent.click(screen.getByRole("button", { name: "Foul" }));
  await waitFor(() => expect(network).toHaveBeenCalledTimes(1));
  expect(sent(0)).toMatchObject({
    state: "foul",
    readings: { t: "41.2" },
    seconds: { t: "41.3" },
    penalties: [{ key: "line", count: 1, reason: "left wheel" }],
  });
});

test("of a large field who is next stands open, and the others unfold with what was typed in them", async () => {
  open({}, [row(), row({ id: "f", team: "Bramble" })], ["e"]);
  expect(screen.getByRole("form", { name: "Attempt 2 of Alder" }).closest("[data-state=open]")).toBeTruthy();
  const bramble = screen.getByRole("button", { name: "Bramble" });
  expect(bramble.getAttribute("aria-expanded")).toBe("false");
  await userEvent.click(bramble);
  expect(bramble.getAttribute("aria-expanded")).toBe("true");
});
