/** @jest-environment jsdom */
// The slots' form with its planner, and the clock on the day.
import "@/ui/testing/browser";
import { act, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { planSlots } from "@/core/slots/solver";
import type { SlotDefinition } from "../schema-slots";
import { SlotClock } from "./slot-clock";
import { SlotForm } from "./slot-form";

const mockRouter = { refresh: () => {}, push: () => {} };
jest.mock("next/navigation", () => ({ useRouter: () => mockRouter }));
const mockSave = jest.fn();
const mockRun = jest.fn();
jest.mock("../actions", () => ({
  saveSlotsAction: (input: unknown) => mockSave(input),
  runSlotAction: (input: unknown) => mockRun(input),
}));

/** The worker, on the page's own thread. */
class Here {
  onmessage: ((e: { data: unknown }) => void) | null = null;
  terminate() {
    this.onmessage = null;
  }
  postMessage(problem: Parameters<typeof planSlots>[0]) {
    const run = planSlots(problem);
    for (let step = run.next(); ; step = run.next()) {
      const data = step.done ? { done: true, plan: step.value } : { done: false, ...step.value };
      void Promise.resolve().then(() => act(() => this.onmessage?.({ data })));
      if (step.done) return;
    }
  }
}
// The form names its worker by the module's own address, which this environment does not have.
jest.mock("./new-worker", () => ({ newSlotWorker: () => new Here() }));

const definition: SlotDefinition = {
  minutes: 20,
  change: 0,
  rooms: ["Gym"],
  least: 1,
  most: 1,
  inClass: false,
  days: [{ day: "2027-03-08", hours: "9-9:40" }],
  reviewers: [{ name: "Ida", hours: [""] }],
};
const idOf = (n: number) => `0190a0b0-0000-7000-8000-00000000000${n}`;
const form = (teams: string[]) =>
  render(
    <SlotForm
      projectId={idOf(0)}
      title="Final"
      version={2}
      definition={definition}
      teams={teams.map((team, i) => ({ reviewId: idOf(i + 1), team, meets: null, hours: [] }))}
    />,
  );
const find = async () => {
  await waitFor(() => expect(screen.getByRole("button", { name: "Find the slots" })).toHaveProperty("disabled", false));
  await userEvent.click(screen.getByRole("button", { name: "Find the slots" }));
};

test("a plan is shown with what it asks of everybody, and is stale once something is typed", async () => {
  form(["Alder", "Birch"]);
  await find();
  expect(await screen.findByText("Nobody has to wait between two reviews.")).toBeTruthy();
  expect(screen.getByRole("row", { name: /9:00–9:20 Alder Ida/ })).toBeTruthy();
  expect(screen.getByRole("row", { name: "Ida 2 – 8 Mar 9:00–9:40" })).toBeTruthy();
  await userEvent.type(screen.getByLabelText("Reviewer 1"), " B");
  expect(screen.getByText("What is typed has changed since: find the slots again.")).toBeTruthy();
  expect(screen.queryByRole("row", { name: /Alder/ })).toBeNull();
});

test("why there is none is said, and hours that cannot be read are marked at their field", async () => {
  form(["Alder", "Birch", "Cedar"]);
  await find();
  expect(await screen.findByText(/All 3 teams need 3 places, and there are 2 times/)).toBeTruthy();
  const hours = screen.getByLabelText("Hours of day 1");
  await userEvent.clear(hours);
  await userEvent.type(hours, "soon");
  await find();
  expect(await screen.findByText(/“soon” is not a stretch of hours|Write the hours/)).toBeTruthy();
});

describe("the clock", () => {
  const slot = (id: string, planned: number, more: object = {}) => ({
    id,
    version: 1,
    team: id,
    reviewers: ["Ida"],
    planned,
    minutes: 20,
    began: null,
    ended: null,
    ...more,
  });
  const clock = (now: number, leads: boolean, ...slots: ReturnType<typeof slot>[]) =>
    render(<SlotClock room={{ name: "Gym", slots }} change={5} now={now} leads={leads} />);
  test("counts down, warns before the end, and tells when the next can begin", () => {
    clock(556, true, slot("Alder", 540, { began: 541 }), slot("Birch", 565));
    expect(screen.getByRole("timer").textContent).toBe("5:00");
    expect(screen.getByText("the end is near")).toBeTruthy();
    expect(screen.getByText("next Birch at 9:26, 1 min late")).toBeTruthy();
    expect(screen.getByText("1 min behind")).toBeTruthy();
  });
  test("begins the next, ends the one that is on, and takes back", async () => {
    mockRun.mockResolvedValue({ ok: true, value: null });
    const { unmount } = clock(539, true, slot("Alder", 540));
    await userEvent.click(screen.getByRole("button", { name: "Begin Alder" }));
    expect(mockRun).toHaveBeenLastCalledWith({ id: "Alder", version: 1, step: "begin" });
    unmount();
    clock(600, true, slot("Alder", 540, { began: 540, ended: 560 }));
    expect(screen.getByText("All are over")).toBeTruthy();
    await userEvent.click(screen.getByRole("button", { name: "Alder is not over" }));
    expect(mockRun).toHaveBeenLastCalledWith({ id: "Alder", version: 1, step: "back" });
  });
  test("speakers see it and press nothing", () => {
    clock(562, false, slot("Alder", 540, { began: 541 }));
    expect(screen.getByText("time is over")).toBeTruthy();
    expect(screen.getByRole("timer").textContent).toBe("+1:00");
    expect(screen.queryAllByRole("button")).toEqual([]);
  });
});
