/** @jest-environment jsdom */
// A match scored beside its names: one press, nothing twice, and what waits for the network is kept.
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { freshDay, inDay, network } from "@/stages/testing/day";
import { kept } from "@/ui/testing/waiting";
import { recordMatchAction } from "../actions";
import CorrectMatch from "./match-correct";
import { MatchEntry } from "./match-entry";
import "@/ui/testing/browser";

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

beforeEach(async () => {
  await freshDay({ slot: "M1-1" });
  action.mockReset().mockResolvedValue({ ok: true, value: { slot: "M1-1" } });
});

test("one press says who has won, and a second press sends nothing more", async () => {
  inDay(<MatchEntry eventId="e" match={match} rules={rules} />);
  const gully = await screen.findByRole("button", { name: "Gully has won" });
  await userEvent.dblClick(gully);
  expect(await screen.findByText("Alder and Gully: saved.")).toBeTruthy();
  expect(network).toHaveBeenCalledTimes(1);
  expect(network.mock.calls[0]![0]).toMatchObject({ eventId: "e", slot: "M1-1", outcome: "won", winner: "b" });
  expect(screen.queryByRole("button", { name: "Drawn" })).toBeNull();
});

test("scores are typed; what is no number is said beside the fields and not sent", async () => {
  inDay(<MatchEntry eventId="e" match={match} rules={{ ...rules, decides: "games", games: 3 }} />);
  await userEvent.type(await screen.findByRole("textbox", { name: /Alder/ }), "2");
  await userEvent.type(screen.getByRole("textbox", { name: /Gully/ }), "one{Enter}");
  expect(screen.getByRole("alert").textContent).toBe("Write the games of each as a number.");
  expect(network).not.toHaveBeenCalled();
  await userEvent.clear(screen.getByRole("textbox", { name: /Gully/ }));
  await userEvent.type(screen.getByRole("textbox", { name: /Gully/ }), "1{Enter}");
  expect(await screen.findByText(/saved/)).toBeTruthy();
  expect(network.mock.calls[0]![0]).toMatchObject({ outcome: "won", winner: null, aScore: "2", bScore: "1" });
});

test("what the server would not take is said, and can be sent again otherwise", async () => {
  network.mockResolvedValueOnce({ ok: false, kind: "refused", message: "It is recorded already: Alder has won." });
  inDay(<MatchEntry eventId="e" match={match} rules={rules} />);
  await userEvent.click(await screen.findByRole("button", { name: "Gully has won" }));
  expect((await screen.findByRole("alert")).textContent).toContain("recorded already");
  await userEvent.click(screen.getByRole("button", { name: "Alder has won" }));
  expect(await screen.findByText(/saved/)).toBeTruthy();
});

test("without a network the result waits in this browser, and a table takes a draw", async () => {
  network.mockRejectedValueOnce(new Error("offline"));
  inDay(<MatchEntry eventId="e" match={match} rules={{ ...rules, format: "robin" }} />);
  await userEvent.click(await screen.findByRole("button", { name: "Drawn" }));
  expect(await screen.findByText(/this result waits and is sent by itself/)).toBeTruthy();
  expect(JSON.stringify(await kept("contest"))).toContain("drawn");
});

test("who has not passed inspection does not play, but may be absent", async () => {
  inDay(<MatchEntry eventId="e" match={{ ...match, waiting: ["Gully"] }} rules={rules} />);
  expect(screen.getByText("Gully has not passed inspection.")).toBeTruthy();
  expect(screen.queryByRole("button", { name: /has won/ })).toBeNull();
  expect(screen.getByRole("button", { name: "not played out" })).toBeTruthy();
});

describe("a recorded match corrected", () => {
  const [a, b, c, d, e] = [1, 2, 3, 4, 5].map((n) => `01a2160f-cd6b-7778-961f-00000000000${n}`) as [
    string,
    string,
    string,
    string,
    string,
  ];
  const correcting = (format: "double" | "robin") =>
    render(
      <CorrectMatch
        eventId={e}
        onDone={() => {}}
        match={{ ...match, a, b }}
        rules={{
          ...rules,
          format,
          secondFinal: true,
          third: false,
          rounds: 1,
          points: { win: "2", draw: "1", loss: "0" },
        }}
        entries={[a, c, d, b]}
        results={[
          { slot: "M1-1", a: a, b: b, outcome: "won", winner: b },
          { slot: "M1-2", a: c, b: d, outcome: "won", winner: c },
          { slot: "M2-1", a: b, b: c, outcome: "won", winner: b },
        ]}
        drawn={[]}
        names={{ [a]: "Alder", [b]: "Gully", [c]: "Weir", [d]: "Sluice" }}
      />,
    );
  test("what does not count any more is named before it is sent, and sent along", async () => {
    correcting("double");
    expect(screen.getByText("Not counted any more, and kept on record: Gully against Weir, round 2.")).toBeTruthy();
    await userEvent.type(screen.getByLabelText("Why it is corrected"), "Lanes");
    await userEvent.click(screen.getByRole("button", { name: "Correct it" }));
    await waitFor(() => expect(action).toHaveBeenCalledTimes(1));
    const sent = { outcome: "won", winner: "a", voids: ["M2-1"], corrects: true };
    expect(action.mock.calls[0][0]).toMatchObject(sent);
  });
  test("in a table nothing hangs on it, and nobody may have won", async () => {
    correcting("robin");
    expect(screen.getByText("Nothing that was played after it is touched.")).toBeTruthy();
    await userEvent.click(screen.getByRole("combobox", { name: "Has won" }));
    await userEvent.click(await screen.findByRole("option", { name: "nobody: drawn" }));
    await userEvent.type(screen.getByLabelText("Why it is corrected"), "Both were there");
    await userEvent.click(screen.getByRole("button", { name: "Correct it" }));
    await waitFor(() => expect(action).toHaveBeenCalledTimes(1));
    expect(action.mock.calls[0][0]).toMatchObject({ outcome: "drawn", winner: null, corrects: true });
  });
});
