/** @jest-environment jsdom */
// A requirement as it is written: the limit follows from what it is measured by; and a table of them that comes in.
import "@/ui/testing/browser";
import { fireEvent, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { loadSelect } from "@/ui/select";
import { choose, press } from "@/ui/testing/hands";
import { answer, forget, last, sent, went } from "@/ui/testing/sent";
import { RequirementForm } from "./requirement-form";
import { TableImport } from "./table-import";

jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);
jest.mock("../actions", () => jest.requireActual("@/ui/testing/sent").actions);

const projectId = "0190a0b0-0000-7000-8000-000000000000";
const run = "run:0190a0b0-0000-7000-8000-000000000001";
beforeAll(() => loadSelect());
beforeEach(forget);
const shows = (field: string) => screen.getByRole("combobox", { name: field }).textContent;

describe("the form", () => {
  const open = (more: object = {}) =>
    render(
      <RequirementForm
        projectId={projectId}
        slug="pump"
        currency="cr"
        measures={[
          { value: `${run}:Q`, label: "flow", unit: "L/min", method: "test" },
          { value: `${run}:d`, label: "damage", unit: "1", method: "test", levels: ["none", "dented", "broken"] },
          { value: "envelope", label: "size", unit: "mm", method: "inspection" },
          { value: "cost", label: "cost of parts", unit: "1", method: "analysis" },
          { value: "mass", label: "mass", unit: "kg", method: "inspection" },
        ]}
        defaults={{
          version: 0,
          statement: "",
          kind: "criterion",
          priority: "must",
          measure: "",
          comparator: "",
          unit: "",
          target: "",
          second: "",
          sides: "",
          method: "",
          source: "",
          reason: "",
          ...more,
        }}
      />,
    );

  test("a measured result is at least its target, in its unit, by test; a mass is at most", async () => {
    open();
    await choose("Measured by", "flow");
    expect(shows("Limit")).toMatch(/at least|≥/);
    expect(shows("Verified by")).toMatch(/test/i);
    expect(screen.getByLabelText("Unit")).toHaveProperty("value", "L/min");
    await userEvent.type(screen.getByLabelText("Statement"), "Moves enough");
    await userEvent.type(screen.getByLabelText("Target"), "7.5");
    await press("Add requirement");
    await waitFor(() => expect(went.length).toBe(1));
    expect(last().input).toMatchObject({ projectId, comparator: "≥", unit: "L/min", target: "7.5", method: "test" });
  });

  test("a level is chosen from its names; the limit's words are of levels", async () => {
    open();
    await choose("Measured by", "damage");
    expect(shows("Limit")).toBe("this level");
    expect(screen.queryByLabelText("Unit")).toBeNull();
    await choose("Limit", "this level or one before it");
    await choose("Level", "dented");
    await userEvent.type(screen.getByLabelText("Statement"), "Survives the drop");
    await press("Add requirement");
    await waitFor(() => expect(last().input).toMatchObject({ comparator: "≤", target: "1" }));
  });

  test("a size fits an envelope; money has no unit to type", async () => {
    open();
    await choose("Measured by", "size");
    expect(screen.getByLabelText("Envelope")).toBeTruthy();
    await choose("Measured by", "cost of parts");
    expect(screen.queryByLabelText("Unit")).toBeNull();
    expect(screen.getByText("in cr")).toBeTruthy();
    await userEvent.type(screen.getByLabelText("Statement"), "Affordable");
    await userEvent.type(screen.getByLabelText("Target"), "90");
    await press("Add requirement");
    await waitFor(() =>
      expect(last().input).toMatchObject({ measure: "cost", comparator: "≤", unit: "1", target: "90" }),
    );
  });

  test("a range asks for both its limits; one that is missing is told", async () => {
    open({ measure: "mass", comparator: "between", unit: "kg", statement: "Neither light nor heavy" });
    await userEvent.type(screen.getByLabelText("Lower limit"), "2");
    await press("Add requirement");
    expect(await screen.findByText(/Give the second number/)).toBeTruthy();
    expect(sent).toEqual([]);
    await userEvent.type(screen.getByLabelText("Upper limit"), "3 kg");
    await press("Add requirement");
    await waitFor(() => expect(last().input).toMatchObject({ target: "2", second: "3 kg" }));
  });

  test("a target in another kind of unit is told while it is typed", async () => {
    open({ measure: "mass", comparator: "≤", unit: "kg", statement: "Light" });
    await userEvent.type(screen.getByLabelText("Target"), "5 s");
    expect(await screen.findByText(/this field takes a mass/)).toBeTruthy();
  });
});

describe("a table", () => {
  const line = (n: number, more: object = {}) => ({
    line: n,
    code: null,
    statement: `Statement ${n}`,
    does: "adds",
    problem: null,
    ...more,
  });
  const paste = (text: string) => fireEvent.change(screen.getByLabelText(/^Table \(CSV/), { target: { value: text } });

  test("is looked at first, and written only when no row is wrong", async () => {
    render(<TableImport projectId={projectId} />);
    paste("a table");
    answer("importRequirementsAction", {
      ok: true,
      value: {
        written: 0,
        lines: [line(2), line(3, { does: "same" }), line(4, { does: "wrong", problem: "No statement." })],
      },
    });
    await press("Look at it");
    expect((await screen.findByRole("status")).textContent).toBe(
      "1 to add, 0 to change, 1 the same, 1 wrong: nothing is written until they are right.",
    );
    expect(screen.getAllByRole("listitem").map((x) => x.textContent)).toEqual([
      "Row 4: new Statement 4 · No statement.",
      "Row 2: new Statement 2 · adds",
    ]);
    expect(screen.queryByRole("button", { name: /^Write/ })).toBeNull();
    paste("a mended table");
    answer("importRequirementsAction", {
      ok: true,
      value: { written: 0, lines: [line(2), line(3, { code: "R-01", does: "changes" })] },
    });
    await press("Look at it");
    await screen.findByRole("button", { name: "Write 2 requirements" });
    answer("importRequirementsAction", { ok: true, value: { written: 2, lines: [] } });
    await press("Write 2 requirements");
    expect(last().input).toEqual({ projectId, text: "a mended table", commit: true });
    await waitFor(() => expect(screen.getByRole("status").textContent).toBe("2 requirements written."));
    expect(screen.getByLabelText(/^Table \(CSV/)).toHaveProperty("value", "");
  });

  test("a refusal keeps what was pasted", async () => {
    render(<TableImport projectId={projectId} />);
    paste("no table");
    answer("importRequirementsAction", { ok: false, kind: "refused", message: "There is no column Statement." });
    await press("Look at it");
    await waitFor(() => expect(screen.getByRole("status").textContent).toBe("There is no column Statement."));
    expect(screen.getByLabelText(/^Table \(CSV/)).toHaveProperty("value", "no table");
  });
});
