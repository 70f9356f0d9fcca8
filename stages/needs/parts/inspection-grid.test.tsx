/** @jest-environment jsdom */
// Twelve things looked at on four builds: one key and Enter a cell, no page change.
import { cleanup, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { box as record } from "@/ui/testing/boxed";
import type { InspectionRow } from "../view/inspection";
import { InspectionGrid } from "./inspection-grid";

const router = { refresh: jest.fn() };
jest.mock("next/navigation", () => ({ useRouter: () => router }));
jest.mock("@/ui/boxed", () => jest.requireActual("@/ui/testing/boxed").boxes);

const builds = ["Alder G1", "Birch G1", "Cedar G1", "Dale G1"].map((name) => ({ id: name, name }));
const rows = Array.from(
  { length: 12 },
  (_, i): InspectionRow => ({
    id: `r${i}`,
    code: `R-${i + 1}`,
    statement: "It holds",
    limit: "",
    unit: i === 1 ? "in" : null,
    must: true,
    verdicts: builds.map(() => "untested"),
  }),
);
const open = () => render(<InspectionGrid projectId="p" builds={builds} rows={rows} />);
const cell = (code: string, build: string) =>
  screen.getByLabelText(new RegExp(`^${code}, ${build}`)) as HTMLInputElement;
beforeEach(() => {
  jest.clearAllMocks();
  localStorage.clear();
  record.mockImplementation(async (i: { outcome?: string }) => ({ ok: true, value: { outcome: i.outcome ?? "met" } }));
});
afterEach(cleanup);

test("12 requirements of 4 builds are entered in 48 entries, each by a key or a number and Enter", async () => {
  open();
  cell("R-1", "Alder G1").focus();
  let entries = 0;
  for (let column = 0; column < 4; column++)
    for (let row = 0; row < 12; row++) {
      await userEvent.keyboard(row === 1 ? "36 1/4{Enter}" : "m{Enter}");
      entries++;
    }
  await waitFor(() => expect(record).toHaveBeenCalledTimes(48));
  expect(entries).toBeLessThan(60);
  await waitFor(() => expect(screen.getAllByText("saved: met")).toHaveLength(48));
  const sent = record.mock.calls.map((c) => c[0] as { requirementId: string; buildId: string; value: string });
  expect(sent[1]).toMatchObject({ requirementId: "r1", buildId: "Alder G1", value: "36 1/4" });
  expect(new Set(sent.map((s) => `${s.requirementId} ${s.buildId}`)).size).toBe(48);
});

test("what cannot be read is said beside its cell and stays; what the server refuses too", async () => {
  open();
  cell("R-1", "Alder G1").focus();
  await userEvent.keyboard("36{Enter}");
  expect(screen.getByText("m is met, n not met, x does not apply.")).toBeTruthy();
  expect([record.mock.calls.length, cell("R-1", "Alder G1").value]).toEqual([0, "36"]);
  record.mockResolvedValueOnce({ ok: false, kind: "invalid", message: "Decided by a run." });
  cell("R-3", "Alder G1").focus();
  await userEvent.keyboard("n{Enter}");
  expect(await screen.findByText("Decided by a run.")).toBeTruthy();
  expect(cell("R-3", "Alder G1").value).toBe("n");
});
