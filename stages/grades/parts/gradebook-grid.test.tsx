/** @jest-environment jsdom */
// The gradebook as a sheet: typed into by keys, pasted, filled down, a mark for a team, undone; wrong marks stay.
import { act, createEvent, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import "@/ui/testing/browser";
import { loadSelect } from "@/ui/select";
import { box as sent } from "@/ui/testing/boxed";
import { emptyBoxes } from "@/ui/testing/waiting";
import { type GridColumn, type PackedStudent, packCell } from "../view/gradebook";
import { GradebookGrid } from "./gradebook-grid";

const router = { refresh: () => {} };
jest.mock("next/navigation", () => ({ useRouter: () => router }));
jest.mock("@/ui/boxed", () => jest.requireActual("@/ui/testing/boxed").boxes);

const columns: GridColumn[] = [
  { key: "book", name: "Notebook", weight: "40", computed: false, scale: { kind: "points", of: "20" } },
  { key: "talk", name: "Talk", weight: "20", computed: false, scale: { kind: "percent" } },
  { key: "lift", name: "Lift", weight: "40", computed: true, scale: { kind: "percent" } },
];
const student = (name: string, team: string): PackedStudent => ({
  id: name,
  name,
  section: "3",
  team,
  grade: "70",
  cells: [
    packCell({ state: "not due" }),
    packCell({ state: "scored", percent: "70", typed: "70", version: 2 }),
    packCell({ state: "missing", percent: "0" }),
  ],
});
const students = [student("Ada", "Gully"), student("Ben", "Alder"), student("Cai", "Gully")];

beforeAll(() => loadSelect());
beforeEach(async () => {
  await emptyBoxes();
  localStorage.clear();
  sent.mockReset();
  sent.mockImplementation(async ({ marks }: { marks: { personId: string; component: string; version: number }[] }) => ({
    ok: true,
    value: { marks: marks.map((m) => ({ ...m, typed: undefined, version: m.version + 1, before: "" })) },
  }));
  render(
    <GradebookGrid projectId="p" slug="pump" columns={columns} students={students} decimals={1} sections={null} />,
  );
});

const cell = (name: string, column: number) =>
  within(screen.getByRole("row", { name: new RegExp(`^${name}`) })).getAllByRole("gridcell")[column]!;
const keys = async (text: string) => userEvent.keyboard(text);
const at = (name: string, column: number) => act(() => void fireEvent.mouseDown(cell(name, column)));
const saved = async (times = 1) => {
  await waitFor(() => expect(sent).toHaveBeenCalledTimes(times));
  return (
    sent.mock.calls.at(-1)![0].marks as { personId: string; component: string; typed: string; version: number }[]
  ).map((m) => `${m.personId} ${m.component} ${m.typed} v${m.version}`);
};
const clip = (kind: "copy" | "paste", text = "") => {
  const data = new Map([["text/plain", text]]);
  const event = createEvent[kind](document.activeElement!);
  Object.defineProperty(event, "clipboardData", {
    value: { getData: (t: string) => data.get(t) ?? "", setData: (t: string, x: string) => data.set(t, x) },
  });
  fireEvent(document.activeElement!, event);
  return data.get("text/plain");
};

test("a digit begins, Enter saves and goes down: two keys a mark and a number of two digits three", async () => {
  at("Ada", 0);
  await keys("9{Enter}");
  expect(await saved()).toEqual(["Ada book 9 v0"]);
  expect(document.activeElement).toBe(cell("Ben", 0));
  await keys("17{Tab}");
  expect(await saved(2)).toEqual(["Ben book 17 v0"]);
  expect(document.activeElement).toBe(cell("Ben", 1));
  // Over a mark that stands, against its version; Escape leaves it.
  await keys("8{Escape}");
  await keys("{Enter}{Backspace}{Backspace}85 calm{Enter}");
  expect(await saved(3)).toEqual(["Ben talk 85 calm v2"]);
});

test("what cannot be read stays in its cell with the reason, through a reload, and is not sent", async () => {
  at("Ada", 0);
  await keys("25{Enter}{ArrowUp}");
  expect(cell("Ada", 0).getAttribute("aria-invalid")).toBe("true");
  expect(screen.getByRole("status").textContent).toContain("“25” is not saved. That is 125 %");
  expect(JSON.parse(localStorage.getItem("ironstone.draft.marks.p")!)).toEqual({
    "Ada book": { typed: "25", wrong: expect.stringContaining("125 %") },
  });
  at("Ada", 2);
  await keys("80{Enter}");
  expect(cell("Ada", 2).textContent).toBe("80");
  expect(sent).not.toHaveBeenCalled();
  at("Ada", 2);
  await keys("80 mended late{Enter}");
  expect(await saved()).toEqual(["Ada lift 80 mended late v0"]);
});

test("a table is pasted as one write, its wrong cells stay; a range is copied, filled down and emptied", async () => {
  at("Ada", 0);
  clip("paste", "12\t61\r\n13\t62\r\n99\t63\r\n");
  expect(await saved()).toEqual([
    "Ada book 12 v0",
    "Ada talk 61 v2",
    "Ben book 13 v0",
    "Ben talk 62 v2",
    "Cai talk 63 v2",
  ]);
  expect(cell("Cai", 0).getAttribute("aria-invalid")).toBe("true");
  at("Ada", 0);
  await keys("{Shift>}{ArrowDown}{ArrowRight}{/Shift}");
  expect(clip("copy")).toBe("12\t61\n13\t62");
  await keys("{Shift>}{ArrowDown}{/Shift}{Control>}d{/Control}");
  expect(await saved(2)).toEqual(["Ben book 12 v1", "Ben talk 61 v3", "Cai book 12 v0", "Cai talk 61 v3"]);
  at("Cai", 1);
  await keys("{Delete}");
  expect(await saved(3)).toEqual(["Cai talk  v4"]);
});

test("a mark for the whole team, from a student's row or a team's", async () => {
  at("Cai", 0);
  await keys("18{Control>}{Enter}{/Control}");
  expect(await saved()).toEqual(["Ada book 18 v0", "Cai book 18 v0"]);
  await userEvent.click(screen.getByRole("combobox", { name: "A row for" }));
  await userEvent.click(screen.getByRole("option", { name: "each team" }));
  at("Gully", 0);
  await keys("7{Enter}8{Enter}");
  expect(await saved(3)).toEqual(["Ben book 8 v0"]);
  expect(sent.mock.calls[1]![0].marks.map((m: { personId: string }) => m.personId)).toEqual(["Ada", "Cai"]);
});

test("undone and done again, by what stood before", async () => {
  at("Ada", 0);
  await keys("9{Enter}");
  await saved();
  await waitFor(() => expect((screen.getByRole("button", { name: "Undo" }) as HTMLButtonElement).disabled).toBe(false));
  await keys("{Control>}z{/Control}");
  expect(await saved(2)).toEqual(["Ada book  v1"]);
  await waitFor(() => expect((screen.getByRole("button", { name: "Redo" }) as HTMLButtonElement).disabled).toBe(false));
  await userEvent.click(screen.getByRole("button", { name: "Redo" }));
  expect(await saved(3)).toHaveLength(1);
});

test("what somebody else typed meanwhile is said, and what was typed stays", async () => {
  sent.mockResolvedValue({
    ok: false,
    kind: "conflict",
    message: "…",
    fields: [{ label: "Ada, Notebook", theirs: "12", yours: "9" }],
  });
  at("Ada", 0);
  await keys("9{Enter}");
  expect(await screen.findByText(/Ada, Notebook: “12” was typed by somebody else meanwhile/)).toBeTruthy();
  expect(cell("Ada", 0).textContent).toBe("9");
  await userEvent.click(screen.getByRole("button", { name: "give it up" }));
  await waitFor(() => expect(cell("Ada", 0).textContent).toBe("not due"));
});

test("filtered, sorted, and found by nobody", async () => {
  const names = () => screen.getAllByRole("rowheader").map((r) => r.textContent);
  await userEvent.click(screen.getByRole("button", { name: "Student" }));
  await userEvent.click(screen.getByRole("button", { name: /^Student/ }));
  expect(names()).toEqual(["Cai", "Ben", "Ada"]);
  await userEvent.type(screen.getByRole("searchbox"), "gully");
  expect(names()).toEqual(["Cai", "Ada"]);
  await userEvent.type(screen.getByRole("searchbox"), "x");
  expect(screen.getByText("Nobody is found.")).toBeTruthy();
});
