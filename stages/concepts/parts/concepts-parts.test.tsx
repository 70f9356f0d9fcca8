/** @jest-environment jsdom */
// Choosing among concepts: a selection by each school, weights by hand or two by two, what a concept says of a must.
import "@/ui/testing/browser";
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { loadSelect } from "@/ui/select";
import { choose, press } from "@/ui/testing/hands";
import { answer, forget, last, sent, went } from "@/ui/testing/sent";
import { ClaimForm } from "./claim-form";
import { ConceptForm } from "./concept-form";
import { SelectionForm } from "./selection-form";
import { WeightsForm } from "./weights-form";

jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);
jest.mock("../actions", () => jest.requireActual("@/ui/testing/sent").actions);

const id = (n: number) => `0190a0b0-0000-7000-8000-00000000000${n}`;
const projectId = id(0);
beforeAll(() => loadSelect());
beforeEach(forget);

describe("a selection", () => {
  const open = (school: string) =>
    render(
      <SelectionForm
        projectId={projectId}
        slug="pump"
        school={school}
        concepts={[
          { value: id(1), label: "C-01 Rope" },
          { value: id(2), label: "C-02 Screw" },
        ]}
      />,
    );

  test("by vote it asks how many votes each has, and takes no criteria along", async () => {
    open("vote");
    expect(screen.getByText("Quick, and everybody is heard; it measures liking.")).toBeTruthy();
    expect(screen.queryByText("Criteria with their weights")).toBeNull();
    await press("Open the selection");
    await waitFor(() => expect(went).toEqual(["/p/pump/concepts/choose/new"]));
    expect(last()).toMatchObject({
      action: "openSelectionAction",
      input: { projectId, school: "vote", conceptIds: [id(1), id(2)], votes: 2, criteria: [], datum: "" },
    });
  });

  test("against a datum only a concept that stands can be the datum; criteria are added and taken away", async () => {
    open("datum");
    await userEvent.click(screen.getByRole("checkbox", { name: /C-01 Rope/ }));
    await userEvent.click(screen.getByRole("combobox", { name: "Datum" }));
    expect(screen.getAllByRole("option").map((o) => o.textContent)).toEqual(["choose", "C-02 Screw"]);
    await userEvent.click(screen.getByRole("option", { name: "C-02 Screw" }));
    await press("add a criterion");
    const [first, second] = screen.getAllByLabelText("Criterion");
    await userEvent.type(first!, "Mass");
    await userEvent.type(second!, "Wear");
    await userEvent.click(screen.getAllByRole("button", { name: "remove" })[0]!);
    expect(screen.getByLabelText("Criterion")).toHaveProperty("value", "Wear");
  });

  test("what is missing is marked and nothing is sent", async () => {
    open("weighted");
    await userEvent.clear(screen.getByLabelText("Title"));
    await press("Open the selection");
    expect(await screen.findByText("Look at the marked fields.")).toBeTruthy();
    expect(screen.getByLabelText("Title").getAttribute("aria-invalid")).toBe("true");
    expect(sent).toEqual([]);
  });
});

describe("weights", () => {
  const criteria = ["Mass", "Cost", "Wear"].map((name, i) => ({ key: `c${i}`, name, weight: 1 / 3 }));
  const form = (version: number, pairs = {}, scored = false, first = 1 / 3) => (
    <WeightsForm
      id={id(1)}
      version={version}
      criteria={criteria.map((c, i) => (i ? c : { ...c, weight: first }))}
      pairs={pairs}
      scored={scored}
    />
  );
  const open = (pairs: Record<string, number> = {}, scored = false) => render(form(5, pairs, scored));

  test("by hand a comma is a point; a reason is asked for once sheets are in", async () => {
    open({}, true);
    const mass = screen.getByLabelText("Mass");
    expect(mass).toHaveProperty("value", "0.333");
    await userEvent.clear(mass);
    await userEvent.type(mass, "0,5");
    await userEvent.type(screen.getByLabelText(/Why they change/), "the client said so");
    await press("Use these weights");
    expect(last()).toEqual({
      action: "weighSelectionAction",
      input: { id: id(1), version: 5, weights: [0.5, 0.333, 0.333], reason: "the client said so" },
    });
    expect(await screen.findByText("Kept.")).toBeTruthy();
  });

  test("what is typed stays when somebody else saves, and goes on against theirs only when told to", async () => {
    const { rerender } = open();
    const value = () => (screen.getByLabelText("Mass") as HTMLInputElement).value;
    rerender(form(6, {}, false, 0.5));
    expect(value()).toBe("0.5");
    await userEvent.clear(screen.getByLabelText("Mass"));
    await userEvent.type(screen.getByLabelText("Mass"), "2");
    rerender(form(7, {}, false, 0.7));
    expect(value()).toBe("2");
    const theirs = { field: "weights", label: "Weights", yours: "2, 0.333, 0.333", theirs: "0.7, 0.333, 0.333" };
    answer("weighSelectionAction", { ok: false, kind: "conflict", message: "", version: 7, fields: [theirs] });
    await press("Use these weights");
    expect(last().input).toMatchObject({ version: 6, weights: [2, 0.333, 0.333] });
    expect(screen.getByText("0.7, 0.333, 0.333")).toBeTruthy();
    await press("Save mine over theirs");
    expect(last().input).toMatchObject({ version: 7, weights: [2, 0.333, 0.333] });
    // Taken: the page's next state is followed again.
    rerender(form(8, {}, false, 2));
    rerender(form(9, {}, false, 5));
    expect(value()).toBe("5");
  });

  test("a weight that is none is told at its field and not sent", async () => {
    open();
    await userEvent.clear(screen.getByLabelText("Cost"));
    await userEvent.type(screen.getByLabelText("Cost"), "0");
    await press("Use these weights");
    expect(await screen.findByText("A weight is above zero.")).toBeTruthy();
    expect(screen.getByLabelText("Cost").getAttribute("aria-invalid")).toBe("true");
    expect(sent).toEqual([]);
  });

  test("two by two, the answers give the weights; answers that contradict each other are told", async () => {
    open({ "0/1": 3 });
    await choose(/Mass or Cost/, "Mass, 3 times");
    await choose(/Cost or Wear/, "Cost, 3 times");
    // Three times three is nine: consistent.
    await choose(/Mass or Wear/, "Mass, 9 times");
    expect(screen.getByText(/consistency ratio/).textContent).toBe("consistency ratio 0.000");
    expect(screen.getByText(/Mass 0\.692 · Cost 0\.231 · Wear 0\.077/)).toBeTruthy();
    await choose(/Mass or Wear/, "Wear, 9 times");
    expect(screen.getByText(/consistency ratio/).textContent).toMatch(/above 0.1, the answers contradict each other/);
    await press("Use these weights");
    const { weights, pairs } = last().input as { weights: number[]; pairs: object };
    expect(weights.reduce((a, b) => a + b)).toBeCloseTo(1);
    expect(Object.keys(pairs)).toEqual(["0/1", "1/2", "0/2"]);
  });
});

describe("a concept and its musts", () => {
  test("an estimate is read back in the field's unit; one that is none is told at its field and not sent", async () => {
    render(<ClaimForm conceptId={id(1)} requirementId={id(2)} says="" how="" estimate="" unit="kg" />);
    await choose("Meets it", "meets it");
    const estimate = screen.getByLabelText("Estimate");
    await userEvent.type(estimate, "11 lb");
    expect(await screen.findByText(/^= 4\.99/)).toBeTruthy();
    await userEvent.clear(estimate);
    await userEvent.type(estimate, "11 mm");
    expect(screen.getByText(/this field takes a mass/)).toBeTruthy();
    expect(estimate.getAttribute("aria-invalid")).toBe("true");
    await userEvent.clear(estimate);
    await userEvent.type(estimate, "5.0");
    await press("Keep");
    await waitFor(() => expect(last()).toMatchObject({ action: "claimMustAction", input: { estimate: "5.0" } }));
  });

  test("a concept opens filled in, and is saved against its version", async () => {
    render(
      <ConceptForm
        projectId={projectId}
        slug="pump"
        units={{ mass: "kg", side: "mm" } as never}
        edit={
          { id: id(1), version: 2, title: "Rope", idea: "", dimensions: "", mass: "2 kg", cost: "", sides: "" } as never
        }
      />,
    );
    await press("Edit");
    const mass = screen.getByLabelText(/mass/i);
    await userEvent.clear(mass);
    await userEvent.type(mass, "2 m");
    await press("Save concept");
    expect((await screen.findAllByText(/this field takes a mass/)).length).toBeGreaterThan(0);
    expect(sent).toEqual([]);
    await userEvent.clear(mass);
    await userEvent.type(mass, "2.2 kg");
    await press("Save concept");
    await waitFor(() => expect(last()).toMatchObject({ input: { id: id(1), version: 2, mass: "2.2 kg" } }));
  });
});
