/** @jest-environment jsdom */
// Two watches by keys: start, split, stop, and what two pairs of eyes make of the same run.
import { act, fireEvent, render, screen, within } from "@testing-library/react";
import "@/ui/testing/browser";
import { Stopwatch } from "./stopwatch";

let now = 0;
const at = (ms: number, key: string, more: object = {}) => {
  now = ms;
  act(() => void fireEvent.keyDown(document.body, { key, ...more }));
};
const watch = (name: string) => within(screen.getByRole("region", { name }));

beforeEach(() => {
  now = 0;
  jest.spyOn(performance, "now").mockImplementation(() => now);
  render(<Stopwatch />);
});
afterEach(() => jest.restoreAllMocks());

test("keys start, split and stop each watch by itself; a held key is one press", () => {
  at(1000, " ");
  at(1100, " ", { repeat: true });
  at(1200, "Enter");
  at(3500, "s");
  at(9400, " ");
  at(9450, "Enter");
  expect(watch("First watch").getByText("8.40")).toBeTruthy();
  expect(watch("Second watch").getByText("8.25")).toBeTruthy();
  expect(screen.getByRole("list", { name: "Splits of the first watch" }).textContent).toBe("1. 2.50 s");
  expect(screen.getByRole("status").textContent).toBe(
    "The watches are 0.15 s apart; their mean is 8.33 s. That is as close as hands are.",
  );
});

test("watches that are far apart are to be asked about; to zero forgets one of them", () => {
  at(0, " ");
  at(0, "Enter");
  at(5000, " ");
  at(5600, "Enter");
  expect(screen.getByRole("status").textContent).toContain("ask whether both started and stopped at the same sign");
  at(6000, "x");
  expect(watch("First watch").getByText("0.00")).toBeTruthy();
  expect(watch("Second watch").getByText("5.60")).toBeTruthy();
});

test("presses do the same; while a watch runs it is not set to zero", () => {
  const first = watch("First watch");
  fireEvent.click(first.getByRole("button", { name: "Start" }));
  expect((first.getByRole("button", { name: "To zero" }) as HTMLButtonElement).disabled).toBe(true);
  now = 1230;
  fireEvent.click(first.getByRole("button", { name: "Stop" }));
  expect(first.getByText("1.23")).toBeTruthy();
  fireEvent.click(first.getByRole("button", { name: "To zero" }));
  expect(first.getByText("0.00")).toBeTruthy();
});
