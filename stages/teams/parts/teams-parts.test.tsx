/** @jest-environment jsdom */
// Forming teams: what is asked of the solver, what stops it before it begins, its progress, its answer and its refusal.
import "@/ui/testing/browser";
import { act, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { type TeamProblem, usualWeights } from "@/core/teams/problem";
import { solveTeams } from "@/core/teams/solver";
import { press } from "@/ui/testing/hands";
import { answer, forget, last, sent } from "@/ui/testing/sent";
import { WorkingProvider } from "@/ui/working";
import { SolverPanel } from "./solver-panel";
import { TraitsForm } from "./traits-form";

jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);
jest.mock("../actions", () => jest.requireActual("@/ui/testing/sent").actions);

const projectId = "0190a0b0-0000-7000-8000-000000000000";

/** A worker that answers when the test says so. */
class HeldWorker {
  static all: HeldWorker[] = [];
  onmessage: ((e: { data: unknown }) => void) | null = null;
  asked: unknown;
  ended = false;
  constructor() {
    HeldWorker.all.push(this);
  }
  postMessage(x: unknown) {
    this.asked = x;
  }
  terminate() {
    this.ended = true;
  }
  says(data: object) {
    act(() => this.onmessage!({ data }));
  }
}
beforeEach(() => {
  forget();
  HeldWorker.all = [];
  Object.assign(globalThis, { Worker: HeldWorker });
});

const problem: TeamProblem = {
  people: ["Ada", "Ben", "Cleo", "Dan"].map((name) => ({
    id: name,
    name,
    section: null,
    skills: [],
    groups: [],
    ideas: [],
    wishes: name === "Ada" ? ["Dan"] : [],
    last: [],
  })),
  teams: ["one", "two"].map((id) => ({ id, name: `Team ${id}`, min: 2, max: 2, section: null, idea: null })),
  skills: [],
  apart: [],
  together: [],
  locks: [],
  forbidden: [],
  weights: usualWeights,
};
const solved = () => {
  const steps = [...solveTeams(problem, { seed: "1" })];
  const run = solveTeams(problem, { seed: "1" });
  for (const _ of steps) run.next();
  return run.next().value as { ok: true; assignment: Record<string, string>; cost: object };
};
const section = (n: number) => ({ value: `section ${n}`, label: `Section ${n}` });

describe("the solver", () => {
  const open = (more: object = {}) =>
    render(
      <WorkingProvider>
        <SolverPanel
          projectId={projectId}
          sections={[section(3)]}
          concepts={[]}
          min={2}
          max={4}
          students={12}
          live={0}
          {...more}
        />
      </WorkingProvider>,
    );
  const begin = async () => {
    answer("problemAction", problem);
    await press("Form teams");
    await waitFor(() => expect(HeldWorker.all[0]?.asked).toBeTruthy());
    return HeldWorker.all[0]!;
  };

  test("as many teams are proposed as the students make; with concepts or living teams none", () => {
    open();
    expect(screen.getByLabelText("New teams")).toHaveProperty("value", "4");
    open({ live: 3 });
    expect(screen.getByLabelText("More teams")).toHaveProperty("value", "0");
  });

  test.each([
    ["Smallest", "5", "Sizes go from 1 to 12, the largest not below the smallest."],
    ["Largest", "13", "Sizes go from 1 to 12, the largest not below the smallest."],
    ["New teams", "61", "At most 60 new teams."],
    ["Seed", " ", "Give a seed."],
  ])("%s of “%s” is told before anything is asked", async (label, typed, says) => {
    open();
    const field = screen.getByLabelText(label);
    await userEvent.clear(field);
    await userEvent.type(field, typed);
    expect(screen.getByRole("status").textContent).toBe(says);
    expect(screen.getByRole("button", { name: "Form teams" })).toHaveProperty("disabled", true);
  });

  test("a section is chosen, and what counts how much is asked with it", async () => {
    open({ sections: [section(3), section(5)] });
    await userEvent.click(screen.getByRole("checkbox", { name: "Section 3" }));
    await userEvent.click(screen.getByRole("checkbox", { name: "Section 5" }));
    expect(screen.getByRole("status").textContent).toBe("Choose a section.");
    await userEvent.click(screen.getByRole("checkbox", { name: "Section 5" }));
    await press("What counts how much");
    const wish = screen.getByRole("spinbutton", { name: "A wish not met" });
    await userEvent.clear(wish);
    await userEvent.type(wish, "4");
    const worker = await begin();
    const { seed } = worker.asked as { seed: string };
    expect(worker.asked).toEqual({ problem, seed });
    expect(Number(seed)).toBeGreaterThanOrEqual(1000);
    expect(sent).toEqual([{ action: "problemAction", input: projectId }]);
  });

  test("its progress is shown; its answer is explained before it is kept, with its seed", async () => {
    open();
    const worker = await begin();
    worker.says({ done: false, share: 0.42, cost: 7.25, best: {} });
    expect(screen.getByRole("progressbar").getAttribute("aria-valuenow")).toBe("42");
    expect(screen.getByRole("status").textContent).toBe("best cost so far 7.3");
    const solution = solved();
    worker.says({ done: true, solution });
    expect(await screen.findByText("Team one")).toBeTruthy();
    expect(worker.ended).toBe(true);
    expect(screen.getByRole("status").textContent).toMatch(/^Solved in \d+\.\d s\.$/);
    await press("Keep this plan to compare");
    const { seed } = worker.asked as { seed: string };
    expect(last()).toMatchObject({
      action: "saveTeamPlanAction",
      input: { projectId, name: `Plan with seed ${seed}`, seed, assignment: solution.assignment },
    });
    await waitFor(() => expect(screen.queryByText("Team one")).toBeNull());
  });

  test("stopped, it gives the best arrangement until then; stopped too early, it says so", async () => {
    open();
    const worker = await begin();
    await press("Stop");
    expect(worker.ended).toBe(true);
    expect(screen.getByRole("status").textContent).toBe("Stopped before there was an arrangement.");
    answer("problemAction", problem);
    await press("Form teams");
    await waitFor(() => expect(HeldWorker.all[1]?.asked).toBeTruthy());
    HeldWorker.all[1]!.says({ done: false, share: 0.1, cost: 2, best: solved().assignment });
    await press("Stop");
    expect(screen.getByRole("status").textContent).toBe("Stopped: this is the best arrangement until then.");
    expect(await screen.findByText("Team two")).toBeTruthy();
  });

  test("what cannot hold together is named where it is proven, and only then", async () => {
    open();
    const worker = await begin();
    const clash = [{ kind: "apart", index: 0, text: "Ada and Dan stay apart" }];
    worker.says({ done: true, solution: { ok: false, proven: true, clash } });
    expect(within(screen.getByRole("alert")).getByText("Ada and Dan stay apart")).toBeTruthy();
    answer("problemAction", problem);
    await press("Form teams");
    await waitFor(() => expect(HeldWorker.all[1]?.asked).toBeTruthy());
    HeldWorker.all[1]!.says({ done: true, solution: { ok: false, proven: false, clash: [] } });
    expect(screen.getByRole("alert").textContent).toContain("it is not proven that there is none");
  });

  test("who may not is told, and nothing runs", async () => {
    open();
    answer("problemAction", null);
    await press("Form teams");
    await waitFor(() => expect(screen.getByRole("status").textContent).toContain("You may not do this"));
    expect(HeldWorker.all).toEqual([]);
  });
});

describe("skills", () => {
  const open = () =>
    render(
      <TraitsForm
        projectId={projectId}
        people={[
          { id: "ada", name: "Ada", skills: { making: 7 }, marked: false },
          { id: "ben", name: "Ben", skills: {}, marked: false },
        ]}
        skills={["making"]}
      />,
    );

  test("an emptied field says nothing of the skill; another skill gets a column; all go in one write", async () => {
    open();
    await userEvent.clear(screen.getByLabelText("making of Ada"));
    await userEvent.type(screen.getByLabelText("Another skill"), "making");
    expect(screen.getByRole("button", { name: "Add" })).toHaveProperty("disabled", true);
    await userEvent.clear(screen.getByLabelText("Another skill"));
    await userEvent.type(screen.getByLabelText("Another skill"), "drawing");
    await press("Add");
    await userEvent.type(screen.getByLabelText("drawing of Ben"), "4");
    await userEvent.click(screen.getByRole("checkbox", { name: "Ben is of the marked group" }));
    await press("Save skills");
    expect(last()).toEqual({
      action: "saveTraitsAction",
      input: {
        projectId,
        rows: [
          { personId: "ada", skills: {}, marked: false },
          { personId: "ben", skills: { drawing: 4 }, marked: true },
        ],
      },
    });
  });
});
