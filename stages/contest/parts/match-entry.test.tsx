/** @jest-environment jsdom */
// A match scored beside its names: one press, nothing twice, and what waits for the network is kept.
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { recordMatchAction } from "../actions";
import { MatchEntry } from "./match-entry";

jest.mock("../actions", () => ({ recordMatchAction: jest.fn() }));
const router = { refresh: jest.fn(), push: jest.fn() };
jest.mock("next/navigation", () => ({ useRouter: () => router }));

const action = recordMatchAction as unknown as jest.Mock;
const match = {
  slot: "M1-1",
  number: 1,
  title: "round 1",
  a: "a",
  b: "b",
  teams: ["Alder", "Gully"] as const,
  waiting: [],
};
const rules = { format: "double", decides: "first", games: 1, measured: null } as const;

beforeEach(() => {
  localStorage.clear();
  action.mockReset().mockResolvedValue({ ok: true, value: { slot: "M1-1" } });
});

test("one press says who has won, and a second press sends nothing more", async () => {
  render(<MatchEntry eventId="e" match={match} rules={rules} />);
  const gully = await screen.findByRole("button", { name: "Gully has won" });
  await userEvent.dblClick(gully);
  expect(await screen.findByText("Alder and Gully: saved.")).toBeTruthy();
  expect(action).toHaveBeenCalledTimes(1);
  expect(action.mock.calls[0][0]).toMatchObject({ eventId: "e", slot: "M1-1", outcome: "won", winner: "b" });
  expect(screen.queryByRole("button", { name: "Drawn" })).toBeNull();
});

test("scores are typed; what is no number is said beside the fields and not sent", async () => {
  render(<MatchEntry eventId="e" match={match} rules={{ ...rules, decides: "games", games: 3 }} />);
  await userEvent.type(await screen.findByRole("textbox", { name: /Alder/ }), "2");
  await userEvent.type(screen.getByRole("textbox", { name: /Gully/ }), "one{Enter}");
  expect(screen.getByRole("alert").textContent).toBe("Write the games of each as a number.");
  expect(action).not.toHaveBeenCalled();
  await userEvent.clear(screen.getByRole("textbox", { name: /Gully/ }));
  await userEvent.type(screen.getByRole("textbox", { name: /Gully/ }), "1{Enter}");
  expect(await screen.findByText(/saved/)).toBeTruthy();
  expect(action.mock.calls[0][0]).toMatchObject({ outcome: "won", winner: null, aScore: "2", bScore: "1" });
});

test("what the server would not take is said, and can be sent again otherwise", async () => {
  action.mockResolvedValueOnce({ ok: false, kind: "refused", message: "It is recorded already: Alder has won." });
  render(<MatchEntry eventId="e" match={match} rules={rules} />);
  await userEvent.click(await screen.findByRole("button", { name: "Gully has won" }));
  expect((await screen.findByRole("alert")).textContent).toContain("recorded already");
  await userEvent.click(screen.getByRole("button", { name: "Alder has won" }));
  expect(await screen.findByText(/saved/)).toBeTruthy();
});

test("without a network the result waits in this browser, and a table takes a draw", async () => {
  action.mockRejectedValueOnce(new Error("offline"));
  render(<MatchEntry eventId="e" match={match} rules={{ ...rules, format: "robin" }} />);
  await userEvent.click(await screen.findByRole("button", { name: "Drawn" }));
  expect(await screen.findByText(/this result waits and is sent by itself/)).toBeTruthy();
  expect(JSON.stringify({ ...localStorage })).toContain("drawn");
});

test("who has not passed inspection does not play, but may be absent", async () => {
  render(<MatchEntry eventId="e" match={{ ...match, waiting: ["Gully"] }} rules={rules} />);
  expect(screen.getByText("Gully has not passed inspection.")).toBeTruthy();
  expect(screen.queryByRole("button", { name: /has won/ })).toBeNull();
  expect(screen.getByRole("button", { name: "not played out" })).toBeTruthy();
});
