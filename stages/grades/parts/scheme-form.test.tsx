/** @jest-environment jsdom */
// The grading scheme as an outline that is typed: moved about, filled from the shelf, tried before it is kept.
import "@/ui/testing/browser";
import { render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { loadMenu } from "@/ui/menu";
import { loadSelect } from "@/ui/select";
import { press, take } from "@/ui/testing/hands";
import { forget, sent, went } from "@/ui/testing/sent";
import type { Effect } from "../view/effect";
import { type Sources, shelf } from "../view/shelf";
import { newPart, type TypedPart } from "../view/typed-scheme";
import { SchemeForm } from "./scheme-form";

jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);
jest.mock("../actions", () => jest.requireActual("@/ui/testing/sent").actions);
let mockTried: { answer: Partial<Effect> } | { wrong: string } | null = null;
jest.mock("@/ui/try", () => ({ useTry: () => ({ tried: mockTried, busy: false }) }));

beforeAll(() => Promise.all([loadMenu(), loadSelect()]));
beforeEach(() => {
  forget();
  mockTried = null;
});
const sources: Sources = {
  reviews: [{ value: "r", label: "Final review" }],
  milestones: [{ value: "m", label: "Drawing" }],
  measures: [{ value: "run:x:Q", label: "flow" }],
  rounds: [],
};
const open = (components: TypedPart[], more: object = {}) =>
  render(
    <SchemeForm
      projectId="0190a0b0-0000-7000-8000-000000000000"
      slug="pump"
      baseNumber={2}
      published={false}
      defaults={{
        decimals: "1",
        rounding: "half up",
        most: false,
        letters: "",
        round: "",
        low: "0.8",
        high: "1.1",
        components,
      }}
      sources={sources}
      {...more}
    />,
  );
/** Names of the lines from above, with how deep each lies. */
const outline = () =>
  [...document.querySelectorAll<HTMLElement>("[data-part]")].map((line) => [
    within(line).getByLabelText<HTMLInputElement>(/^(Component|Group)$/).value,
    /sm:pl-(\d+)/.exec(line.className)?.[1] ?? "0",
  ]);
const one = (name: string, weight: string, depth = 0, kind = "entered") =>
  newPart(name.toLowerCase(), depth, { name, weight, kind });

test("weights that do not make a hundred are said while they are typed", async () => {
  open([one("Report", "40"), one("Build", "50")]);
  expect(screen.getByText(/The weights make 90, they should make 100/)).toBeTruthy();
  const [, second] = screen.getAllByLabelText("Weight, %");
  await userEvent.clear(second!);
  await userEvent.type(second!, "60");
  expect(screen.getByText("The weights make 100.")).toBeTruthy();
});

test("a component goes into the group above, out of it, up, and away", async () => {
  open([one("Team", "60", 0, "group"), one("Report", "1", 1), one("Notebook", "40")]);
  expect(outline()).toEqual([
    ["Team", "0"],
    ["Report", "7"],
    ["Notebook", "0"],
  ]);
  await take("What to do with Notebook", "Into the group above");
  expect(outline().at(-1)).toEqual(["Notebook", "7"]);
  // A weight in a group is a part of it, and says how much that is of the whole.
  expect(screen.getAllByLabelText(/^Parts/).length).toBe(2);
  await take("What to do with Notebook", "Move up");
  expect(outline().map(([name]) => name)).toEqual(["Team", "Notebook", "Report"]);
  await take("What to do with Report", "Out of its group");
  expect(outline().at(-1)).toEqual(["Report", "0"]);
  await take("What to do with Notebook", "Remove");
  expect(outline().map(([name]) => name)).toEqual(["Team", "Report"]);
  await take("What to do with Team", "Add a component in it");
  expect(outline().map(([, depth]) => depth)).toEqual(["0", "7", "0"]);
});

test.each(shelf.map((t) => [t.name, t] as const))("from the shelf: %s fits the whole", async (name, template) => {
  open([one("Report", "100")]);
  await take(/Take a scheme from the shelf/, new RegExp(`^${name}`));
  expect(outline().map(([label]) => label)).toEqual(template.parts(sources).map((p) => p.name));
  expect(screen.getByText("The weights make 100.")).toBeTruthy();
});

test("a component that can be late asks by how much; a scale asks for its letters", async () => {
  open([one("Drawing", "100", 0, "milestone")]);
  expect(screen.queryByLabelText("Percent a class session late")).toBeNull();
  await userEvent.click(screen.getByRole("checkbox", { name: "loses when it is late" }));
  expect(screen.getByLabelText("Percent a class session late")).toHaveProperty("value", "10");
  await userEvent.click(screen.getByRole("combobox", { name: "Scored by" }));
  await userEvent.click(screen.getByRole("option", { name: /a group/ }));
  expect(screen.queryByLabelText("Percent a class session late")).toBeNull();
  expect(screen.getByLabelText("Lowest left out")).toBeTruthy();
});

test("a change of a published scheme says why; it is saved against the version it was begun on", async () => {
  open([one("Report", "100")], { published: true });
  await userEvent.type(screen.getByLabelText("Why the scheme changes"), "the notebook counts no more");
  await press("Save as version 3");
  await waitFor(() => expect(went).toEqual(["/p/pump/grades"]));
  expect(sent[0]).toMatchObject({
    action: "saveSchemeAction",
    input: { baseNumber: 2, why: "the notebook counts no more", components: [{ name: "Report", weight: "100" }] },
  });
});

describe("what it would do", () => {
  const effect = (more: Partial<Effect>): { answer: Effect } => ({
    answer: {
      students: 2,
      moves: [],
      fragile: [],
      bands: [],
      before: [80, 90],
      after: [80, 90],
      mean: { before: "85.0", after: "85.0" },
      ...more,
    },
  });
  const says = (tried: typeof mockTried) => {
    mockTried = tried;
    open([one("Report", "100")]);
    return screen.getByText("What this would do").closest("section, div")!.parentElement!.textContent;
  };

  test.each([
    ["nothing yet", null, "Looking what this does to the class…"],
    ["what is wrong with it", { wrong: "A weight is missing." }, "A weight is missing."],
    ["that no grade moves", effect({}), "No grade moves."],
    ["that nobody has a grade", effect({ before: [], after: [] }), "Nobody would have a grade yet"],
    ["how many would have one", effect({ before: [], after: [70] }), "1 of 2 students would have a grade."],
  ] as const)("%s", (_, tried, words) => {
    expect(says(tried as typeof mockTried)).toContain(words);
  });

  test("who moves by how much, whose letter hangs by a rounding, and how grades are spread", () => {
    says(
      effect({
        moves: [
          { id: "1", name: "Ada", section: "3", from: "80.0", to: "78.5", by: "-1.5", letters: "B → C" },
          { id: "2", name: "Ben", section: "3", from: "90.0", to: "91.0", by: "1.0", letters: "" },
        ],
        fragile: [{ id: "1", name: "Ada", letter: "B", from: "80", exact: "79.96" } as never],
        bands: [{ from: 70, to: 80, before: 0, after: 1 } as never],
      }),
    );
    const row = (name: RegExp) => screen.getByRole("row", { name }).textContent;
    expect(row(/^Ada/)).toContain("−1.5");
    expect(row(/^Ada/)).toContain("B → C");
    expect(row(/^Ben/)).toContain("+1.0");
    expect(screen.getByText("2 of 2 grades move")).toBeTruthy();
    expect(screen.getByText(/against 80 for B/)).toBeTruthy();
    expect(row(/^70 to below 80/)).toBe("70 to below 8001");
  });
});
