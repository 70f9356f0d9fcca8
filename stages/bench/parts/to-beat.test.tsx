/** @jest-environment jsdom */
import { cleanup, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { ToBeat } from "../view/to-beat";
import { ToBeatBox } from "./to-beat";

jest.mock("@/ui/link", () => ({ __esModule: true, default: (p: object) => <a {...p} /> }));
afterEach(cleanup);

const view = {
  marks: [
    { label: "R-02 ≥", shown: "7.50", stands: "0.84 to go" },
    { label: "best of the class: Cistern G4", shown: "9.37", stands: "", build: "b4" },
  ],
  theory: { name: "Ideal flow", shown: "9.9 L/min", share: "67" },
  steps: ["G1 4.20", "G2 6.66 (+2.46)"],
  best: { run: "r", build: { team: "Cistern", number: 4 } },
} as unknown as ToBeat;

test("each mark with how far it is; the settings of the best run unfold", async () => {
  render(<ToBeatBox slug="pump" view={view} unit="L/min" settings={[{ name: "valve", value: "flap" }]} />);
  expect(screen.getAllByRole("listitem").map((x) => x.textContent)).toEqual([
    "R-02 ≥7.50L/min0.84 to go",
    "best of the class: Cistern G49.37L/min",
  ]);
  expect(screen.getByRole("link", { name: /Cistern G4/ }).getAttribute("href")).toBe("/p/pump/builds/b4");
  expect(screen.getByText("Theory (Ideal flow): 9.9 L/min; 67 % of it was measured")).toBeTruthy();
  expect(screen.getByText("By generation: G1 4.20 → G2 6.66 (+2.46)")).toBeTruthy();
  expect(screen.queryByText("flap")).toBeNull();
  await userEvent.click(screen.getByText("Settings of the best run (Cistern G4)"));
  expect(screen.getByText("flap")).toBeTruthy();
});

test("with nothing to beat there is nothing", () => {
  const { container } = render(
    <ToBeatBox slug="pump" view={{ ...view, marks: [], theory: null }} unit="1" settings={[]} />,
  );
  expect(container.textContent).toBe("");
});
