/** @jest-environment jsdom */
// The plan as strata: tasks moved and stretched by keys, what stands in the way said, lost days tried; its table twin.
import "@/ui/testing/browser";
import { act, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { aMilestone, aTask, sessionsOn } from "@/stages/testing/rows";
import { loadSelect } from "@/ui/select";
import { answer, forget, last, sent } from "@/ui/testing/sent";
import { WorkingProvider } from "@/ui/working";
import { networkOf } from "../view/tasks";
import { PlanChart } from "./plan-chart";
import { TaskTable } from "./task-table";

jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);
jest.mock("../actions", () => jest.requireActual("@/ui/testing/sent").actions);

const projectId = "0190a0b0-0000-7000-8000-000000000000";
const days = Array.from({ length: 10 }, (_, i) => `2027-03-${String(i + 1).padStart(2, "0")}`);
const sessions = sessionsOn(...days);
beforeAll(() => loadSelect());
beforeEach(forget);

const tasks = [aTask("Draw", 2), aTask("Cut", 1, ["Draw"]), aTask("Test", 2, ["Cut"])];
const milestones = [aMilestone("First run", "2027-03-06")];
const chart = async (more: { tasks?: typeof tasks; today?: string; staff?: boolean; event?: string } = {}) => {
  const list = more.tasks ?? tasks;
  const shown = render(
    <WorkingProvider>
      <PlanChart
        projectId={projectId}
        tasks={list}
        milestones={milestones.map((m) => ({ ...m, own: false }))}
        network={networkOf(list, milestones, null)}
        sessions={sessions}
        event={more.event ?? "2027-03-10"}
        today={more.today ?? "2027-03-01"}
        staff={more.staff ?? true}
      />
    </WorkingProvider>,
  );
  await act(async () => {});
  return shown;
};
const bed = (name: RegExp) => screen.getByRole("slider", { name });
const press = async (name: RegExp, keys: string) => {
  bed(name).focus();
  await userEvent.keyboard(keys);
};

describe("the chart", () => {
  test("says how long the plan takes, its tightest chain and what it has to spare", async () => {
    await chart();
    expect(screen.getByText(/The plan takes 5 of 10 sessions until the event/).textContent).toBe(
      "The plan takes 5 of 10 sessions until the event. The tightest chain is Draw → Cut → Test, " +
        "with 5 sessions to spare.",
    );
    expect(bed(/^Cut: 1 session, 3 to 3/)).toBeTruthy();
  });

  test("a plan that is too long says by how much", async () => {
    await chart({ event: "2027-03-04" });
    expect(screen.getByText(/It is 1 session too long:/)).toBeTruthy();
  });

  test("a task is moved by the arrow keys to a day of its own, and stretched with Shift", async () => {
    await chart();
    await press(/^Cut:/, "{ArrowRight}");
    expect(last()).toMatchObject({
      action: "saveTaskAction",
      input: { projectId, id: "Cut", version: 1, title: "Cut", length: 1, notBefore: "2027-03-04", after: ["Draw"] },
    });
    await press(/^Cut:/, "{Shift>}{ArrowRight}{/Shift}");
    expect(last().input).toMatchObject({ length: 2, notBefore: "" });
    await press(/^Cut:/, "{Shift>}{ArrowLeft}{/Shift}");
    expect(last().input).toMatchObject({ length: 1 });
  });

  test("what comes first stands in the way, and is named; nothing is sent", async () => {
    await chart();
    await press(/^Cut:/, "{ArrowLeft}");
    expect(screen.getByRole("status").textContent).toBe("“Cut” cannot begin before session 3: Draw comes first.");
    expect(sent).toEqual([]);
  });

  test("moved back to where it could begin at the earliest, it has no day of its own any more", async () => {
    await chart({ tasks: [tasks[0]!, aTask("Cut", 1, ["Draw"], { notBefore: "2027-03-04" }), tasks[2]!] });
    await press(/^Cut: 1 session, 4 to 4/, "{ArrowLeft}");
    expect(last().input).toMatchObject({ id: "Cut", notBefore: "" });
  });

  test("a milestone is moved by a session; its day is the session's", async () => {
    await chart();
    await press(/First run/, "{ArrowRight}");
    expect(last()).toEqual({
      action: "moveMilestoneAction",
      input: { id: "First run", version: 1, dueOn: "2027-03-07" },
    });
  });

  test("a refused move is said; a student moves nothing", async () => {
    const { unmount } = await chart();
    answer("saveTaskAction", { ok: false, kind: "refused", message: "The task was taken out." });
    await press(/^Draw:/, "{ArrowRight}");
    await waitFor(() => expect(screen.getByRole("status").textContent).toBe("The task was taken out."));
    unmount();
    forget();
    await chart({ staff: false });
    await press(/^Cut:/, "{ArrowRight}");
    expect(sent).toEqual([]);
    expect(bed(/^Cut:/).getAttribute("aria-disabled")).toBe("true");
  });

  test("tasks that wait for each other are named instead of a chart", async () => {
    await chart({ tasks: [aTask("Draw", 1, ["Cut"]), aTask("Cut", 1, ["Draw"])] });
    expect(screen.getByText(/These wait for each other:/).textContent).toMatch(/Draw, Cut|Cut, Draw/);
  });

  test("what should be over is overdue and planned from today on", async () => {
    await chart({ today: "2027-03-05" });
    expect(screen.getByText(/overdue and planned from today/).textContent).toContain("Draw");
  });

  test("a session tried as lost says what slips, and is forgotten again", async () => {
    await chart();
    const session = await screen.findByRole("button", { name: /session 1\b|^1\b/i });
    await userEvent.click(session);
    expect((await screen.findByText(/dates come later/)).textContent).toMatch(/^If 1 Mar is lost:/);
    await userEvent.click(screen.getByRole("button", { name: "forget it" }));
    expect(screen.queryByText(/dates come later/)).toBeNull();
    expect(sent).toEqual([]);
  });
});

describe("the table", () => {
  const line = (title: string, more: object = {}) =>
    ({
      id: title,
      title,
      length: 2,
      version: 3,
      begins: "2027-03-01",
      ends: "2027-03-02",
      notBefore: "",
      deadline: "",
      milestoneId: "First run",
      after: [],
      slack: 4,
      critical: false,
      overdue: false,
      late: false,
      doneOn: null,
      ...more,
    }) as never;
  const open = (staff: boolean, ...rows: never[]) =>
    render(
      <WorkingProvider>
        <TaskTable
          projectId={projectId}
          rows={rows}
          tasks={["Draw", "Cut"].map((t) => ({ value: t, label: t }))}
          milestones={[{ value: "First run", label: "First run" }]}
          today="2027-03-02"
          staff={staff}
        />
      </WorkingProvider>,
    );

  test("what is late or overdue is said in words, with what it comes after and leads to", () => {
    open(false, line("Draw"), line("Cut", { after: ["Draw"], overdue: true, late: true, begins: null }));
    const cut = screen.getByRole("row", { name: /^Cut/ }).textContent;
    expect(cut).toContain("after the last session");
    expect(cut).toContain("overdue, from today on");
    expect(cut).toContain("too late");
    expect(cut).toContain("Draw");
    expect(screen.queryByRole("button", { name: "done" })).toBeNull();
  });

  test("done today, and not done again", async () => {
    open(true, line("Draw"), line("Cut", { doneOn: "2027-03-01" }));
    const row = (name: RegExp) => within(screen.getByRole("row", { name }));
    await userEvent.click(row(/^Draw/).getByRole("button", { name: "done" }));
    expect(last()).toEqual({ action: "finishTaskAction", input: { id: "Draw", doneOn: "2027-03-02" } });
    await userEvent.click(row(/^Cut/).getByRole("button", { name: "not done" }));
    expect(last()).toEqual({ action: "finishTaskAction", input: { id: "Cut", doneOn: "" } });
  });

  test("edited under its line; a task does not begin after itself", async () => {
    open(true, line("Draw"));
    await userEvent.click(screen.getByRole("button", { name: "edit" }));
    expect(screen.queryByRole("checkbox", { name: "Draw" })).toBeNull();
    expect(screen.getByRole("checkbox", { name: "Cut" })).toBeTruthy();
    await userEvent.click(screen.getByRole("button", { name: "Leave" }));
    expect(screen.queryByRole("checkbox", { name: "Cut" })).toBeNull();
  });
});
