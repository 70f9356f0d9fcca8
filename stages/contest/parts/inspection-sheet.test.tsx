/** @jest-environment jsdom */
// The inspection's sheet: verdict and margin as it is typed, nothing passes over a limit or unseen in one tap.
import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import "@/ui/testing/browser";
import { freshDay, inDay, network as sent } from "@/stages/testing/day";
import type { InspectionLine } from "../view/inspection";
import { InspectionSheet } from "./inspection-sheet";

const push = jest.fn();
const router = { push, refresh: jest.fn() };
jest.mock("next/navigation", () => ({ useRouter: () => router }));

const line = (key: string, more: Partial<InspectionLine>): InspectionLine => ({
  key,
  code: "",
  label: key,
  must: true,
  reads: "value",
  limit: { comparator: "≤", target: "5", second: null, sides: null, unit: "kg" },
  asks: "≤ 5 kg",
  unit: "kg",
  declared: "",
  rolled: false,
  ...more,
});
const lines = [
  line("mass", { code: "R-03", declared: "4.4 kg" }),
  line("No sharp edge", { reads: "word", limit: null, asks: "" }),
];
const sheet = (after = 0, of = { id: "b1", name: "Alder G3" }) => (
  <InspectionSheet build={{ ...of, after }} lines={lines} next={{ name: "Bramble", href: "?build=b2" }} />
);
const mass = () => screen.getByLabelText("R-03 mass");
const type = (text: string) => fireEvent.change(mass(), { target: { value: text } });
const press = (name: string) => fireEvent.click(screen.getByRole("button", { name }));

beforeEach(() => freshDay(null));

test("the margin stands beside the field as it is typed, and what is wrong says what would be right", () => {
  inDay(sheet());
  expect(screen.getAllByText("not looked at")).toHaveLength(2);
  expect(screen.getByText("recorded by the team: 4.4 kg")).toBeTruthy();
  type("4620 g");
  expect(screen.getByText("0.38 kg to spare")).toBeTruthy();
  type("5.31");
  expect(screen.getByText("0.31 kg over")).toBeTruthy();
  type("heavy");
  press("Pass");
  expect(screen.getByRole("alert").textContent).toMatch(/^mass: /);
  expect(sent).not.toHaveBeenCalled();
});

test("what was not looked at is named, and passes with its reason only", async () => {
  inDay(sheet());
  type("4.4");
  press("Pass");
  expect(screen.getByRole("alert").textContent).toContain("Not looked at: No sharp edge");
  fireEvent.change(screen.getByLabelText(/why it may start/), { target: { value: "Seen yesterday" } });
  press("Pass with a waiver");
  await waitFor(() => expect(screen.getByRole("status").textContent).toBe("Alder G3, passed: saved."));
  expect(sent.mock.calls[0]![0]).toMatchObject({
    buildId: "b1",
    after: 0,
    outcome: "passed",
    typed: { mass: "4.4" },
    waiver: "Seen yesterday",
  });
});

test("over a limit the reason is asked for at once; turned away needs its note", () => {
  inDay(sheet());
  type("5.3");
  expect(screen.getByLabelText(/^Over on mass \(R-03\)/)).toBeTruthy();
  press("Turn away");
  expect(screen.getByRole("alert").textContent).toBe("Say in the note why it was turned away.");
});

test("Enter goes to the next line, a key answers, and N goes to the next team where nobody types", () => {
  inDay(sheet());
  fireEvent.keyDown(mass(), { key: "Enter" });
  const edge = screen.getByRole("radiogroup", { name: "No sharp edge" });
  expect(edge.contains(document.activeElement)).toBe(true);
  fireEvent.keyDown(document.activeElement!, { key: "n" });
  expect(within(edge).getByRole("radio", { name: "not met" }).getAttribute("aria-checked")).toBe("true");
  fireEvent.keyDown(mass(), { key: "n" });
  expect(push).not.toHaveBeenCalled();
  fireEvent.keyDown(document.body, { key: "n" });
  expect(push).toHaveBeenCalledWith("?build=b2");
});

test("a reload keeps what was typed; the next inspection of the build begins empty", () => {
  const { unmount } = inDay(sheet());
  type("4.9");
  unmount();
  const again = inDay(sheet());
  expect((mass() as HTMLInputElement).value).toBe("4.9");
  again.unmount();
  inDay(sheet(1));
  expect((mass() as HTMLInputElement).value).toBe("");
});

test("without a network it waits and says so; what the server refuses stands there with its words", async () => {
  sent.mockRejectedValueOnce(new Error("offline"));
  const { unmount } = inDay(sheet());
  fireEvent.change(screen.getByLabelText(/^Note/), { target: { value: "A sharp edge" } });
  press("Turn away");
  await waitFor(() => expect(screen.getByRole("status").textContent).toContain("waits and is sent by itself"));
  unmount();
  await freshDay(null);
  sent.mockResolvedValueOnce({ ok: false, kind: "refused", message: "Alder G3 was inspected meanwhile." });
  inDay(sheet());
  fireEvent.change(screen.getByLabelText(/^Note/), { target: { value: "A sharp edge" } });
  press("Turn away");
  await waitFor(() => expect(screen.getByRole("alert").textContent).toBe("Alder G3 was inspected meanwhile."));
});

test("what waits is sent by the sheet of another build too, and does not hold it up", async () => {
  sent.mockRejectedValueOnce(new Error("offline"));
  const { unmount } = inDay(sheet());
  fireEvent.change(screen.getByLabelText(/^Note/), { target: { value: "A sharp edge" } });
  press("Turn away");
  await waitFor(() => expect(screen.getByRole("status").textContent).toContain("waits and is sent by itself"));
  unmount();
  inDay(sheet(0, { id: "b2", name: "Bramble G2" }));
  await waitFor(() => expect(sent).toHaveBeenCalledTimes(2));
  expect(sent.mock.calls[1]![0]).toMatchObject({ buildId: "b1", outcome: "turned away" });
  fireEvent.change(screen.getByLabelText(/^Note/), { target: { value: "Too long" } });
  press("Turn away");
  await waitFor(() => expect(sent).toHaveBeenCalledTimes(3));
  expect(sent.mock.calls[2]![0]).toMatchObject({ buildId: "b2" });
});
