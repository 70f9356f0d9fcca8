/** @jest-environment jsdom */
// Scoring beside the field: no attempt is lost without a network, none is sent twice, and an odd one is asked about.
import { act, cleanup, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { scoreAttemptAction } from "../actions";
import { ScoreEntry } from "./score-entry";

const router = { refresh: jest.fn() };
jest.mock("next/navigation", () => ({ useRouter: () => router }));
jest.mock("../actions", () => ({ scoreAttemptAction: jest.fn() }));
const score = scoreAttemptAction as unknown as jest.Mock;

const open = () => {
  render(
    <ScoreEntry
      entryId="e"
      team="Alder"
      attempt={2}
      of={3}
      readings={[{ key: "t", name: "Time", unit: "s" }]}
      via="guest"
    />,
  );
  return { time: screen.getByLabelText(/^Time/), save: screen.getByRole("button", { name: "Save attempt 2 of 3" }) };
};
beforeEach(() => {
  jest.clearAllMocks();
  localStorage.clear();
});

test("an attempt is saved once, by the guest of this device", async () => {
  score.mockResolvedValue({ ok: true, value: { attempt: 2 } });
  const { time, save } = open();
  await userEvent.type(time, "41.2");
  await userEvent.dblClick(save);
  expect(await screen.findByText("Alder: attempt 2 is saved.")).toBeTruthy();
  expect(score.mock.calls.map((c) => [(c[0] as { readings: object }).readings, (c[1] as { via: string }).via])).toEqual(
    [[{ t: "41.2" }, "guest"]],
  );
});

test("without a network it waits, is there after a reload, and goes by itself under its own id", async () => {
  score.mockRejectedValueOnce(new Error("offline")).mockResolvedValueOnce({ ok: true, value: { attempt: 2 } });
  const { time, save } = open();
  await userEvent.type(time, "41.2");
  await userEvent.click(save);
  expect(await screen.findByText(/this attempt waits/)).toBeTruthy();
  expect(screen.getByText("Time 41.2 s")).toBeTruthy();
  cleanup();
  open();
  await waitFor(() => expect(score).toHaveBeenCalledTimes(2));
  await waitFor(() => expect(screen.queryByText("Time 41.2 s")).toBeNull());
  expect((score.mock.calls[0] as [{ id: string }])[0].id).toBe((score.mock.calls[1] as [{ id: string }])[0].id);
});

test("what the server refuses stays in the fields; an odd time is taken when it is sent once more", async () => {
  score
    .mockResolvedValueOnce({
      ok: false,
      kind: "invalid",
      message: "Time is usually 20 to 90 s.",
      fields: { sure: "?" },
    })
    .mockResolvedValueOnce({ ok: true, value: { attempt: 2 } });
  const { time, save } = open();
  await userEvent.type(time, "412");
  await userEvent.click(save);
  expect(await screen.findByText("Time is usually 20 to 90 s.")).toBeTruthy();
  expect((time as HTMLInputElement).value).toBe("412");
  await userEvent.click(save);
  expect(await screen.findByText("Alder: attempt 2 is saved.")).toBeTruthy();
  expect(score.mock.calls.map((c) => (c[0] as { sure: boolean }).sure)).toEqual([false, true]);
});

test("one that waited from before and is refused stays with its reason; what is being typed stays too", async () => {
  const before = { id: "old", entryId: "e", state: "valid", readings: { t: "40.1" }, sure: false };
  localStorage.setItem("ironstone.outbox.score.e", JSON.stringify([{ id: "old", input: before, sent: false }]));
  let answer: (a: unknown) => void = () => {};
  score
    .mockImplementationOnce(() => new Promise((r) => (answer = r)))
    .mockResolvedValueOnce({ ok: true, value: { attempt: 2 } });
  const { time, save } = open();
  await userEvent.type(time, "41.2");
  await userEvent.click(save);
  await act(async () => answer({ ok: false, kind: "refused", message: "Alder was turned away at inspection." }));
  expect(await screen.findByText("Alder: attempt 2 is saved.")).toBeTruthy();
  expect(screen.getByText("Time 40.1 s")).toBeTruthy();
  expect(screen.getByText("Alder was turned away at inspection.")).toBeTruthy();
  expect(localStorage.getItem("ironstone.outbox.score.e")).toContain("40.1");
});
