/** @jest-environment jsdom */
// What is ticked before a machine runs, the cut planner beside its form, and a booking's row.
import "@/ui/testing/browser";
import { act, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { planCuts } from "@/core/cutting/plan";
import type { CutProblem } from "@/core/cutting/problem";
import { NewCutList } from "./cut-form";
import { MachineCheck } from "./machine-check";

const mockRouter = { refresh: () => {}, push: () => {} };
jest.mock("next/navigation", () => ({ useRouter: () => mockRouter }));
const mockCheck = jest.fn();
const mockKeep = jest.fn();
jest.mock("../actions", () => ({
  checkMachineAction: (input: unknown) => mockCheck(input),
  keepCutListAction: (input: unknown) => mockKeep(input),
}));

/** The worker, on the page's own thread. */
class Here {
  onmessage: ((e: { data: unknown }) => void) | null = null;
  terminate() {
    this.onmessage = null;
  }
  postMessage(problem: CutProblem) {
    const run = planCuts(problem);
    for (let step = run.next(); ; step = run.next()) {
      const data = step.done ? { done: true, answer: step.value } : { done: false, share: step.value };
      if (step.done) return void Promise.resolve().then(() => act(() => this.onmessage?.({ data })));
    }
  }
}
jest.mock("./new-cut-worker", () => ({ newCutWorker: () => new Here() }));

beforeEach(() => {
  mockCheck.mockReset().mockResolvedValue({ ok: true, value: { id: "x" } });
  mockKeep.mockReset().mockResolvedValue({ ok: true, value: { id: "x" } });
});

test("a machine was looked at when every line is ticked, and not before", async () => {
  const user = userEvent.setup();
  render(<MachineCheck toolId="saw" lines={["Guard down", "Stop tried"]} machine="Band saw" />);
  const button = screen.getByRole("button", { name: "Band saw was looked at" });
  await user.click(await screen.findByRole("checkbox", { name: "Guard down" }));
  expect(button).toHaveProperty("disabled", true);
  expect(screen.getByText(/1 open/)).toBeTruthy();
  await user.click(screen.getByRole("checkbox", { name: "Stop tried" }));
  await user.click(button);
  expect(mockCheck).toHaveBeenCalledWith(
    expect.objectContaining({ toolId: "saw", lines: ["Guard down", "Stop tried"] }),
  );
  await waitFor(() => expect(button).toHaveProperty("disabled", true));
});

test("a refused check keeps what was ticked and says why", async () => {
  mockCheck.mockResolvedValue({ ok: false, kind: "refused", message: "The list has changed. Reload." });
  const user = userEvent.setup();
  render(<MachineCheck toolId="saw" lines={["Guard down"]} machine="Band saw" />);
  await user.click(await screen.findByRole("checkbox", { name: "Guard down" }));
  await user.click(screen.getByRole("button", { name: "Band saw was looked at" }));
  expect((await screen.findByRole("alert")).textContent).toContain("The list has changed");
  expect(screen.getByRole("checkbox", { name: "Guard down" }).getAttribute("data-state")).toBe("checked");
});

const form = () =>
  render(
    <NewCutList
      projectId="0190a0b0-0000-7000-8000-000000000000"
      unit="mm"
      stock={{ bars: "Pine; 2400 mm; 3", sheets: "Ply; 600 × 400 mm; 2" }}
      begun={{}}
      goTo="/cutting/:id"
    />,
  );

test("an example stands beside an empty list; what is typed is planned at once, or said to be unreadable", async () => {
  const user = userEvent.setup();
  form();
  expect(await screen.findByText(/An example, until you write/)).toBeTruthy();
  await user.click(await screen.findByRole("button", { name: "take what is in stock" }));
  expect(screen.getByLabelText("Cut from")).toHaveProperty("value", "Ply; 600 × 400 mm; 2");
  await user.type(screen.getByLabelText("Pieces"), "Side; 300");
  expect(await screen.findByText(/“300” of Side is no size/)).toBeTruthy();
  await user.type(screen.getByLabelText("Pieces"), " × 400; 4");
  expect(await screen.findByText(/4 pieces from 2 sheets/)).toBeTruthy();
  expect(screen.getAllByRole("img", { name: /Ply with Side 300 × 400/ })).toHaveLength(1);
  await user.type(screen.getByLabelText("Title"), "Frames");
  await user.click(screen.getByRole("button", { name: "Keep this list" }));
  await waitFor(() => expect(mockKeep).toHaveBeenCalled());
  expect(mockKeep.mock.calls[0]![0]).toMatchObject({ title: "Frames", kind: "sheets", pieces: "Side; 300 × 400; 4" });
});

test("a piece that goes on nothing is named", async () => {
  const user = userEvent.setup();
  form();
  await user.click(await screen.findByRole("radio", { name: /Bars and strips/ }));
  await user.type(screen.getByLabelText("Cut from"), "Pine; 2400");
  await user.type(screen.getByLabelText("Pieces"), "Mast; 2401");
  expect(await screen.findByText(/Mast goes on nothing/)).toBeTruthy();
});
