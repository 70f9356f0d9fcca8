/** @jest-environment jsdom */
// A judge's sheets: marked by digits, one team after the other, and nothing is lost on the way.
import { act, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { freshDay, inDay, network } from "@/stages/testing/day";
import { kept } from "@/ui/testing/waiting";
import type { JudgedRow } from "../view/judged";
import { JudgeSheets } from "./judge-sheets";
import "@/ui/testing/browser";

const router = { refresh: jest.fn(), push: jest.fn() };
jest.mock("next/navigation", () => ({ useRouter: () => router }));

const rules = {
  criteria: [
    { key: "use", name: "Use", weight: "3" },
    { key: "work", name: "Workmanship", weight: "1" },
  ],
  most: 5,
};
const row = (team: string, more: Partial<JudgedRow> = {}): JudgedRow => ({
  entryId: team,
  team,
  order: null,
  build: "G2",
  version: 0,
  state: null,
  marks: {},
  note: "",
  ...more,
});
const rows = [row("Alder"), row("Gully"), row("Weir", { version: 2, state: "marked", marks: { use: 5, work: 4 } })];
const sheetOf = (team: string) => within(screen.getByRole("form", { name: `Sheet of ${team}` }));

beforeEach(() => freshDay({ version: 1 }));

test("digits mark line after line, what it comes to stands beside, and the next team comes by itself", async () => {
  inDay(<JudgeSheets rows={rows} rules={rules} />);
  expect(screen.getByText("2 of 3 to mark. N goes to the next one.")).toBeTruthy();
  const first = sheetOf("Alder").getAllByRole("radio")[0]!;
  await waitFor(() => expect((first as HTMLButtonElement).disabled).toBe(false));
  act(() => first.focus());
  await userEvent.keyboard("4");
  expect(screen.getByText("1 to mark")).toBeTruthy();
  await userEvent.keyboard("9");
  expect(screen.getByText("1 to mark")).toBeTruthy();
  await userEvent.keyboard("3");
  expect(screen.getByText("75.0 of 100")).toBeTruthy();
  await userEvent.keyboard("It pours well");
  await userEvent.dblClick(screen.getByRole("button", { name: "Save the sheet" }));
  expect(await screen.findByText("Alder: your sheet is saved.")).toBeTruthy();
  expect(network).toHaveBeenCalledTimes(1);
  expect(network.mock.calls[0]![0]).toMatchObject({
    entryId: "Alder",
    after: 0,
    stepped: false,
    marks: { use: "4", work: "3" },
    note: "It pours well",
  });
  expect(screen.getByRole("tab", { name: /Gully/ }).getAttribute("aria-selected")).toBe("true");
  expect(screen.getByRole("tab", { name: /Alder/ }).textContent).toContain("marked");
});

test("a criterion that is not marked is named and nothing sent; what is refused stays as typed", async () => {
  network.mockResolvedValueOnce({ ok: false, kind: "refused", message: "Design is halted: wet floor." });
  inDay(<JudgeSheets rows={rows} rules={rules} />);
  const save = await screen.findByRole("button", { name: "Save the sheet" });
  await waitFor(() => expect((save as HTMLButtonElement).disabled).toBe(false));
  await userEvent.click(sheetOf("Alder").getAllByRole("radio", { name: "2" })[0]!);
  await userEvent.click(save);
  expect(screen.getByRole("alert").textContent).toBe("Not marked yet: Workmanship.");
  expect(network).not.toHaveBeenCalled();
  await userEvent.click(sheetOf("Alder").getAllByRole("radio", { name: "1" })[1]!);
  await userEvent.click(save);
  await waitFor(() => expect(screen.getByRole("alert").textContent).toContain("halted"));
  expect(screen.getByText("35.0 of 100")).toBeTruthy();
});

test("a judge steps back with a reason, and without a network that waits in the browser", async () => {
  network.mockRejectedValue(new Error("offline"));
  inDay(<JudgeSheets rows={rows} rules={rules} />);
  await userEvent.click(screen.getByRole("button", { name: "Step back from this team" }));
  await userEvent.click(screen.getByRole("button", { name: "Step back" }));
  expect(screen.getByRole("alert").textContent).toContain("Say why");
  await userEvent.type(screen.getByRole("textbox", { name: "Why" }), "I coached them");
  await userEvent.click(screen.getByRole("button", { name: "Step back" }));
  expect(await screen.findByText(/No connection: Alder: you step back waits/)).toBeTruthy();
  expect(JSON.stringify(await kept("contest"))).toContain("I coached them");
});

test("N goes to the next team without a sheet; a sheet that is in opens with its marks", async () => {
  inDay(<JudgeSheets rows={rows} rules={rules} />);
  await userEvent.keyboard("n");
  expect(screen.getByRole("tab", { name: /Gully/ }).getAttribute("aria-selected")).toBe("true");
  await userEvent.click(screen.getByRole("tab", { name: /Weir/ }));
  expect(screen.getByText("95.0 of 100")).toBeTruthy();
  const save = screen.getByRole("button", { name: "Save the sheet" });
  await userEvent.click(sheetOf("Weir").getAllByRole("radio", { name: "0" })[1]!);
  await userEvent.click(save);
  await waitFor(() => expect(network).toHaveBeenCalled());
  expect(network.mock.calls[0]![0]).toMatchObject({ entryId: "Weir", after: 2, marks: { use: "5", work: "0" } });
});

test("no team, no sheet", () => {
  inDay(<JudgeSheets rows={[]} rules={rules} />);
  expect(screen.getByText("No team has entered.")).toBeTruthy();
});
