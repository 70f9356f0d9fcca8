/** @jest-environment jsdom */
// The class grid of sheets by keys: digits go on by themselves, a whole row is handed in, corrections too.
import "@/ui/testing/browser";
import { cleanup, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { sheetWaits } from "@/ui/sheet-box";
import { box as submit } from "@/ui/testing/boxed";
import { emptyBoxes } from "@/ui/testing/waiting";
import { SheetsGrid } from "./sheets-grid";

const mockRouter = { refresh: () => {}, push: () => {} };
jest.mock("next/navigation", () => ({ useRouter: () => mockRouter }));
jest.mock("@/ui/boxed", () => jest.requireActual("@/ui/testing/boxed").boxes);

const levels = ["0", "1", "2", "3"].map((points) => ({ points, descriptor: "" }));
const criteria = ["Idea", "Craft"].map((name) => ({ key: name.toLowerCase(), name, weight: "1", levels }));
const row = (team: string, more: object = {}) => ({
  reviewId: team,
  team,
  build: "G1",
  version: 0,
  comment: "",
  marks: {},
  ...more,
});
const shown = (...rows: ReturnType<typeof row>[]) =>
  render(<SheetsGrid rows={rows} criteria={criteria} rater="Mara" raterId="m" />);
const cell = (name: string) => screen.getByLabelText(name) as HTMLInputElement;
const sent = () =>
  submit.mock.calls.map(([x]) => [x.reviewId, x.version, x.marks.map((m: { points: string }) => m.points).join(" ")]);

beforeEach(async () => {
  await emptyBoxes();
  localStorage.clear();
  submit.mockReset().mockResolvedValue({ ok: true, value: { id: "1" } });
});

test("two teams of two criteria take four digits and no other key", async () => {
  shown(row("Alder"), row("Birch"));
  const user = userEvent.setup();
  await user.click(cell("Alder, Idea"));
  await user.keyboard("3210");
  await waitFor(() =>
    expect(sent()).toEqual([
      ["Alder", 0, "3 2"],
      ["Birch", 0, "1 0"],
    ]),
  );
  await waitFor(() => expect(screen.getAllByText("handed in")).toHaveLength(2));
});

test("what is none of the levels stays, is said, and is not sent; Enter does not pass it", async () => {
  shown(row("Alder"));
  const user = userEvent.setup();
  await user.click(cell("Alder, Idea"));
  await user.keyboard("7{Enter}");
  expect(document.activeElement).toBe(cell("Alder, Idea"));
  expect(cell("Alder, Idea").getAttribute("aria-invalid")).toBe("true");
  expect(screen.getByText("Idea: 7 is none of its levels (0, 1, 2, 3).")).toBeTruthy();
  expect(submit).not.toHaveBeenCalled();
});

test("a handed-in sheet is corrected in one cell, against its version and with its comments", async () => {
  const marks = { idea: { points: "3", comment: "bold" }, craft: { points: "2", comment: "" } };
  shown(row("Alder", { version: 4, comment: "well done", marks }));
  const user = userEvent.setup();
  await user.click(cell("Alder, Idea"));
  await user.keyboard("1");
  await waitFor(() => expect(sent()).toEqual([["Alder", 4, "1 2"]]));
  expect(submit.mock.calls[0][0]).toMatchObject({ comment: "well done", marks: [{ comment: "bold" }, {}] });
  await user.click(cell("Alder, Craft"));
  await user.keyboard("0");
  await waitFor(() => expect(sent().at(-1)).toEqual(["Alder", 5, "1 0"]));
});

test("what is refused says why and keeps what was typed", async () => {
  submit.mockResolvedValue({
    ok: false,
    kind: "refused",
    message: "The review has its verdict; its sheets are closed.",
  });
  shown(row("Alder"));
  const user = userEvent.setup();
  await user.click(cell("Alder, Idea"));
  await user.keyboard("32");
  expect(await screen.findByText("The review has its verdict; its sheets are closed.")).toBeTruthy();
  expect([cell("Alder, Idea").value, cell("Alder, Craft").value]).toEqual(["3", "2"]);
});

test("arrows go through the teams", async () => {
  shown(row("Alder"), row("Birch"));
  const user = userEvent.setup();
  await user.click(cell("Alder, Craft"));
  await user.keyboard("{ArrowDown}");
  expect(document.activeElement).toBe(cell("Birch, Craft"));
  await user.keyboard("{ArrowUp}");
  expect(document.activeElement).toBe(cell("Alder, Craft"));
});

test("without a network a whole row waits, and is handed in by itself; after a reload too", async () => {
  submit.mockImplementation(() => Promise.reject(new Error("offline")));
  shown(row("Alder"));
  const user = userEvent.setup();
  await user.click(cell("Alder, Idea"));
  await user.keyboard("32");
  expect(await screen.findByText(sheetWaits)).toBeTruthy();
  cleanup();
  submit.mockReset().mockResolvedValue({ ok: true, value: { id: "1" } });
  shown(row("Alder"));
  await waitFor(() => expect(sent()).toEqual([["Alder", 0, "3 2"]]));
  expect(await screen.findByText("handed in")).toBeTruthy();
  await waitFor(() => expect({ ...localStorage }).toEqual({}));
});

test("what is typed and not whole yet survives a reload, with the version that it was begun on", async () => {
  const marks = { idea: { points: "3", comment: "" }, craft: { points: "2", comment: "" } };
  shown(row("Alder", { version: 4, marks }), row("Birch"));
  const user = userEvent.setup();
  await user.click(cell("Birch, Idea"));
  await user.keyboard("1");
  cleanup();
  shown(row("Alder", { version: 4, marks }), row("Birch", { version: 1 }));
  await waitFor(() => expect(cell("Birch, Idea").value).toBe("1"));
  expect([cell("Alder, Idea").value, cell("Birch, Craft").value]).toEqual(["3", ""]);
  await user.click(cell("Birch, Craft"));
  await user.keyboard("2");
  // Somebody handed in meanwhile: the server is told what it was begun on.
  await waitFor(() => expect(sent()).toEqual([["Birch", 0, "1 2"]]));
});
