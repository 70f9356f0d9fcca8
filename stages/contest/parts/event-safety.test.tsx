/** @jest-environment jsdom */
// What has to be so before an event begins, and the way to stop it: every halt is a halt of its own.
import "@/ui/testing/browser";
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { press } from "@/ui/testing/hands";
import { forget, last } from "@/ui/testing/sent";
import type { EventSafety } from "../queries/safety";
import { SafetyBar } from "./event-safety";

jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);
jest.mock("../actions", () => jest.requireActual("@/ui/testing/sent").actions);

beforeEach(forget);
const event = (more: object = {}) =>
  ({
    eventId: "e",
    version: 1,
    name: "Water race",
    halt: null,
    before: [],
    cautions: [],
    check: null,
    copied: false,
    rehearsal: false,
    officer: "",
    ...more,
  }) as unknown as EventSafety;
const bar = (more: object = {}, judges = true, via?: "guest") => (
  <SafetyBar event={event(more)} judges={judges} via={via} />
);

test("halted, let go on, and halted again on the same page: the second is another halt", async () => {
  const { rerender } = render(bar({}, false, "guest"));
  const halt = async (why: string) => {
    await press("Halt the event");
    await userEvent.type(screen.getByLabelText("Why (it stands on the board)"), why);
    await press("Halt it now");
    return last().input as { id: string; eventId: string; reason: string };
  };
  const first = await halt("A hose burst");
  expect(first).toMatchObject({ eventId: "e", reason: "A hose burst" });
  rerender(bar({ halt: { id: first.id, reason: "A hose burst", by: "Scorer 2" } }, false, "guest"));
  expect(screen.getByRole("alert").textContent).toBe("Halted: A hose burst (Scorer 2)");
  expect(screen.getByText("A judge or the instructor lets it go on.")).toBeTruthy();
  rerender(bar({ before: [{ reason: "A hose burst", note: "new hose" }] }, false, "guest"));
  expect(screen.getByText(/Halted before: A hose burst; new hose/)).toBeTruthy();
  const second = await halt("Somebody is on the lane");
  expect(second.id).not.toBe(first.id);
});

test("a judge lets it go on and says what was done", async () => {
  render(bar({ halt: { id: "h", reason: "smoke", by: "Mara" } }));
  await press("Go on");
  expect(screen.getByText("This is needed.")).toBeTruthy();
  await userEvent.type(screen.getByLabelText("What was done about it"), "fuse changed");
  await press("Go on");
  expect(last()).toEqual({ action: "liftHaltAction", input: { id: "h", note: "fuse changed" } });
});

test("the cautions are ticked one by one and signed by name before anything begins", async () => {
  render(bar({ cautions: ["Lane free", "Glasses on"], officer: "the referee" }));
  const begin = screen.getByRole("button", { name: "All of it is so: begin" });
  expect(screen.getByText(/Before the first of today, to be ticked by the referee/)).toBeTruthy();
  await userEvent.click(screen.getByRole("checkbox", { name: "Lane free" }));
  await userEvent.type(screen.getByLabelText("Name of who answers for it"), "R. Osei");
  expect(begin).toHaveProperty("disabled", true);
  expect(screen.getByText(/^1 to tick\./)).toBeTruthy();
  await userEvent.click(screen.getByRole("checkbox", { name: "Glasses on" }));
  await userEvent.click(begin);
  expect(last()).toEqual({
    action: "checkEventAction",
    input: { id: "e", cautions: ["Lane free", "Glasses on"], signed: "R. Osei" },
  });
});

test("who only scores does not tick; copied rules wait for the instructor", async () => {
  const { rerender } = render(bar({ cautions: ["Lane free"], copied: true }, false, "guest"));
  expect(screen.getByText("It begins when a judge has ticked the cautions.")).toBeTruthy();
  expect(screen.getByText("The instructor ticks them.")).toBeTruthy();
  rerender(bar({ copied: true, rehearsal: true }));
  expect(screen.getByText(/Rehearsal: what is scored now is wiped/)).toBeTruthy();
  await press("I have read them, and they hold this year");
  expect(last()).toEqual({ action: "tickRulesAction", input: { id: "e", version: 1 } });
});
