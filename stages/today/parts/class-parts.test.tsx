/** @jest-environment jsdom */
// The class: its course as it is typed, the clock, and attendance by exception.
import "@/ui/testing/browser";
import { act, render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { readAgenda } from "@/core/log/agenda";
import { loadMenu } from "@/ui/menu";
import { AttendanceBoard, type Attending } from "./attendance-board";
import { ClassPlanForm } from "./class-plan-form";
import { ClassTimer } from "./class-timer";

const mockRouter = { refresh: () => {}, push: () => {} };
jest.mock("next/navigation", () => ({ useRouter: () => mockRouter }));
const mockSent = jest.fn();
const mockSend = (name: string) => (input: unknown) => {
  mockSent(name, input);
  return Promise.resolve({ ok: true, value: { id: "" } });
};
jest.mock("../actions", () => ({
  planClassAction: (i: unknown) => mockSend("plan")(i),
  beginClassAction: (i: unknown) => mockSend("begin")(i),
  markAttendanceAction: (i: unknown) => mockSend("mark")(i),
  takeAttendanceAction: (i: unknown) => mockSend("take")(i),
}));

const on = {
  projectId: "0190a0b0-0000-7000-8000-000000000001",
  sectionId: "0190a0b0-0000-7000-8000-000000000002",
  onDate: "2027-03-02",
};
const ada = "0190a0b0-0000-7000-8000-000000000003";
beforeAll(() => loadMenu());
beforeEach(() => mockSent.mockClear());

test("the course is drawn in minutes while it is typed, and what is too long is said", async () => {
  const user = userEvent.setup();
  render(<ClassPlanForm on={on} version={0} purpose="" agenda="" proposed="Hull; due: Drawing" minutes={50} />);
  expect(screen.getByLabelText("What this class is for")).toHaveProperty("value", "Hull; due: Drawing");
  const course = screen.getByLabelText("Its course");
  await user.type(course, "10 Plan{enter}Building{enter}8 Clean up");
  expect(screen.getAllByRole("listitem").map((x) => x.textContent)).toEqual([
    "0–10Plan10 min",
    "10–42Building32 min",
    "42–50Clean up8 min",
  ]);
  await user.type(course, "{enter}40 Test");
  expect(screen.getByText("The parts take 58 of 50 minutes: 8 too many.")).toBeTruthy();
  await user.click(screen.getByRole("button", { name: "Keep for this class" }));
  expect(mockSent).toHaveBeenCalledWith(
    "plan",
    expect.objectContaining({ ...on, version: 0, purpose: "Hull; due: Drawing" }),
  );
});

test("the clock is begun by hand; running, it shows the part that is on, what it has left and what comes", async () => {
  const agenda = readAgenda("10 Plan\nBuilding", 50);
  const user = userEvent.setup();
  const { rerender } = render(<ClassTimer on={on} agenda={agenda} minutes={50} ran={null} isToday />);
  await user.click(screen.getByRole("button", { name: "The class begins now" }));
  expect(mockSent).toHaveBeenCalledWith("begin", { ...on, begun: true });
  jest.useFakeTimers();
  rerender(<ClassTimer on={on} agenda={agenda} minutes={50} ran={8} isToday />);
  expect(screen.getByRole("timer").textContent).toBe("2:00");
  expect(screen.getByText("then Building, 40 min")).toBeTruthy();
  act(() => jest.advanceTimersByTime(3 * 60_000));
  expect(screen.getByRole("timer").textContent).toBe("39:00");
  act(() => jest.advanceTimersByTime(40 * 60_000));
  expect(screen.getByText("The class is over")).toBeTruthy();
  expect(screen.getByRole("timer").textContent).toBe("+1:00");
  jest.useRealTimers();
  rerender(<ClassTimer on={on} agenda={agenda} minutes={50} ran={null} isToday={false} />);
  expect(screen.queryByRole("button")).toBeNull();
});

const board = (mark: Attending["mark"], taken: string | null, ran: number | null) => (
  <AttendanceBoard
    on={on}
    groups={[{ id: "a", name: "Alder", students: [{ id: ada, name: "Ada", mark }] }]}
    taken={taken}
    ran={ran}
    minutes={50}
    counts={{ here: mark?.state === "absent" ? 0 : 1, of: 1 }}
  />
);
const choose = async (user: ReturnType<typeof userEvent.setup>, from: RegExp, what: RegExp) => {
  await user.click(screen.getByRole("button", { name: from }));
  await user.click(within(screen.getByRole("menu")).getByRole("menuitem", { name: what }));
};

test("one press where all are here; who comes late while the clock runs misses the minutes that it shows", async () => {
  const user = userEvent.setup();
  const { rerender } = render(board(null, null, null));
  await user.click(screen.getByRole("button", { name: "All 1 are here" }));
  expect(mockSent).toHaveBeenCalledWith("take", { ...on, taken: true });
  await choose(user, /^Ada not looked yet/, /^absent/);
  expect(mockSent).toHaveBeenLastCalledWith("mark", { ...on, personId: ada, state: "absent", minutes: undefined });
  rerender(board(null, "taken by Mara", 7.6));
  await choose(user, /^Ada here/, /^late/);
  expect(mockSent).toHaveBeenLastCalledWith("mark", { ...on, personId: ada, state: "late", minutes: 8 });
  await choose(user, /^Ada/, /^left early/);
  expect(mockSent).toHaveBeenLastCalledWith("mark", { ...on, personId: ada, state: "left early", minutes: 42 });
  rerender(board(null, "taken by Mara", 90));
  await choose(user, /^Ada/, /^late/);
  expect(mockSent).toHaveBeenLastCalledWith("mark", expect.objectContaining({ minutes: undefined }));
});

test("a mark is taken back, its minutes are corrected; while one is marked, attendance stays taken", async () => {
  const user = userEvent.setup();
  const { rerender } = render(board({ state: "late", minutes: 8 }, "taken by Mara", null));
  expect(screen.queryByRole("button", { name: "it was not taken" })).toBeNull();
  await user.click(screen.getByRole("button", { name: "minutes missed" }));
  await user.clear(screen.getByLabelText("Minutes missed"));
  await user.type(screen.getByLabelText("Minutes missed"), "12{enter}");
  expect(mockSent).toHaveBeenLastCalledWith(
    "mark",
    expect.objectContaining({ personId: ada, state: "late", minutes: "12" }),
  );
  await choose(user, /^Ada late/, /^here/);
  expect(mockSent).toHaveBeenLastCalledWith("mark", { ...on, personId: ada, state: undefined, minutes: undefined });
  rerender(board(null, "taken by Mara", null));
  await user.click(screen.getByRole("button", { name: "it was not taken" }));
  expect(mockSent).toHaveBeenLastCalledWith("take", { ...on, taken: false });
});
