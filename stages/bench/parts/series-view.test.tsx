/** @jest-environment jsdom */
// A series drawn: what is chosen by dragging, and what is typed beside it, through somebody else's save.
import "@/ui/testing/browser";
import { act, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { press } from "@/ui/testing/hands";
import { forget, last } from "@/ui/testing/sent";
import { SeriesView } from "./series-view";

jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);
jest.mock("../actions", () => jest.requireActual("@/ui/testing/sent").actions);
let drag: (from: number, to: number) => void = () => {};
jest.mock("./lazy-charts", () => ({
  LazySeriesChart: ({ onPart }: { onPart: typeof drag }) => {
    drag = onPart;
    return null;
  },
}));

const id = "0190a0b0-0000-7000-8000-000000000001";
const view = (version: number, part: { from: number; to: number } | null = null, reason = "") => (
  <SeriesView
    id={id}
    version={version}
    name="Force"
    unit="N"
    whole={{ from: 0, to: 10 }}
    curve={[]}
    taken={null}
    level={null}
    part={part}
    reason={reason}
    may
  />
);
const typed = () =>
  ["Counts from (s)", "to (s)", "Why this part"].map((l) => (screen.getByLabelText(l) as HTMLInputElement).value);
beforeEach(() => {
  forget();
  globalThis.fetch = jest.fn(async () => ({ ok: true, json: async () => [] })) as unknown as typeof fetch;
});

test("a part that was dragged stands in the fields; that it is chosen is said also once the page has it", async () => {
  const { rerender } = render(view(1));
  expect(typed()).toEqual(["0", "10", ""]);
  await act(async () => drag(2.0000001, 5));
  expect(typed()).toEqual(["2", "5", ""]);
  await userEvent.type(screen.getByLabelText("Why this part"), "steady");
  await press("This part counts");
  expect(last()).toMatchObject({ input: { id, version: 1, from: 2, to: 5, reason: "steady" } });
  rerender(view(2, { from: 2, to: 5 }, "steady"));
  expect(await screen.findByText("The part is chosen.")).toBeTruthy();
  expect(typed()).toEqual(["2", "5", "steady"]);
  // Nothing is typed: what another chose is followed.
  rerender(view(3, { from: 1, to: 4 }, "longer"));
  expect(typed()).toEqual(["1", "4", "longer"]);
});

test("what is typed stays when another part is chosen, and is sent against what it was begun on", async () => {
  const { rerender } = render(view(1, { from: 2, to: 5 }, "steady"));
  await act(async () => drag(3, 6));
  rerender(view(2, { from: 1, to: 4 }, "longer"));
  expect(typed()).toEqual(["3", "6", ""]);
  await userEvent.type(screen.getByLabelText("Why this part"), "no ramp");
  await press("This part counts");
  expect(last()).toMatchObject({ input: { version: 1, from: 3, to: 6, reason: "no ramp" } });
});

test("a network that does not answer is said, and nothing moves", async () => {
  globalThis.fetch = jest.fn(async () => Promise.reject(new Error("offline")));
  render(view(1));
  await act(async () => drag(2, 5));
  expect(screen.getByText("The network did not answer. Try again.")).toBeTruthy();
  expect(typed()).toEqual(["0", "10", ""]);
});
