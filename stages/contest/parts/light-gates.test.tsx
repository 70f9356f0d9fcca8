/** @jest-environment jsdom */
// Light gates on a stand-in's cable: their times, and the field that takes one. Simulated ones fill no field.

import { ReadableStream, TextDecoderStream } from "node:stream/web";
import { TextEncoder } from "node:util";
import { act, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import "@/ui/testing/browser";
import { LightGates } from "./light-gates";
import { TimeKeys } from "./time-keys";

let says: (text: string) => void = () => {};
let unplug = () => {};
const closed = jest.fn(async () => {});

beforeEach(() => {
  localStorage.clear();
  Object.assign(globalThis, { TextDecoderStream });
  const readable = new ReadableStream<Uint8Array>({
    start(c) {
      says = (text) => c.enqueue(new TextEncoder().encode(text));
      unplug = () => c.close();
    },
  });
  const port = { open: async () => {}, close: closed, readable };
  Object.defineProperty(navigator, "serial", { configurable: true, value: { requestPort: async () => port } });
});
afterEach(() => {
  jest.useRealTimers();
  Reflect.deleteProperty(navigator, "serial");
});

const times = () => screen.queryByRole("region", { name: "Times of the gates" })?.textContent ?? "";

test("gates on a cable time a passage, and the field of an event takes it by a press", async () => {
  const taken: string[] = [];
  render(
    <>
      <LightGates />
      <TimeKeys unit="min" disabled={false} onPick={(t) => taken.push(t)} />
    </>,
  );
  const instrument = () => screen.getByRole<HTMLButtonElement>("combobox", { name: "Instrument" });
  await waitFor(() => expect(instrument().disabled).toBe(false));
  act(() => instrument().focus());
  await userEvent.keyboard("{Enter}{ArrowUp}{Enter}");
  expect(screen.getByLabelText("Speed of its cable")).toBeTruthy();
  fireEvent.change(screen.getByLabelText("Length, for a speed (m)"), { target: { value: "3" } });
  fireEvent.click(screen.getByRole("button", { name: "Listen" }));
  expect(await screen.findByText("Listening. Nothing was heard yet.")).toBeTruthy();
  says("# two gates\n0,in,0,1\n0,out,0,1\n1,in,1,1\n3.5,out,1,1\n4,light,7,lx\n");
  expect(await screen.findByText("2.50000 ± 0.00082 s")).toBeTruthy();
  expect(times()).toContain("1.20000 ± 0.00039 m/s");
  expect(screen.getByText("1 lines left out: light comes in lx; a light gate says 0 or 1, in the unit 1")).toBeTruthy();
  fireEvent.click(await screen.findByRole("button", { name: "2.50000 s light gates" }));
  expect(taken).toEqual(["2.50000 s"]);
  act(() => unplug());
  expect(await screen.findByText(/^The gates were lost: they send nothing any more/)).toBeTruthy();
  expect(times()).toContain("2.50000");
});

test("what cannot be used is said before anything is listened to", () => {
  render(<LightGates />);
  fireEvent.change(screen.getByLabelText("Passages apart by (s)"), { target: { value: "soon" } });
  fireEvent.click(screen.getByRole("button", { name: "Listen" }));
  expect(screen.getByRole("status").textContent).toMatch(/^Passages apart by: /);
  expect(screen.getByRole("button", { name: "Listen" })).toBeTruthy();
});

test("simulated gates time too, and no field takes it", () => {
  jest.useFakeTimers({ now: 0 });
  render(<LightGates />);
  fireEvent.click(screen.getByRole("button", { name: "Listen" }));
  act(() => void jest.advanceTimersByTime(3500));
  expect(within(screen.getByRole("region", { name: "Times of the gates" })).getByText(/^1\.00\d+ ± /)).toBeTruthy();
  expect(screen.getByText(/no event takes them/)).toBeTruthy();
  expect(localStorage.getItem("ironstone.times")).toBeNull();
  fireEvent.click(screen.getByRole("button", { name: "Stop listening" }));
  expect(screen.getByRole("button", { name: "Listen" })).toBeTruthy();
});
