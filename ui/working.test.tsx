/** @jest-environment jsdom */
// A figure opens its working: with the page or by its address, and the last one pressed wins.
import { act, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { makeWorking } from "@/core/working/working";
import { Figure, WorkingProvider } from "./working";

jest.mock("next/dynamic", () => ({
  __esModule: true,
  default: () => require("./working-drawer").default,
}));

const flow = makeWorking({
  title: "Flow",
  result: "8.62",
  unit: "L/min",
  plusMinus: "0.11",
  rule: "Water over time.",
  steps: ["Q = m ÷ t"],
  inputs: [{ label: "Collected", value: "8.60", unit: "kg", by: "Ada", at: "2027-02-03T09:15:00Z", note: "scale" }],
  contributions: [{ label: "Time", share: 0.64, note: "" }],
  warnings: ["One attempt is left out."],
  basis: ["Physical limit 20 L/min: within"],
});
const open = (...figures: [string, Parameters<typeof Figure>[0]["working"]][]) =>
  render(
    <WorkingProvider>
      {figures.map(([text, working]) => (
        <Figure key={text} working={working}>
          {text}
        </Figure>
      ))}
    </WorkingProvider>,
  );
const json = (body: unknown, ok = true) => ({ ok, json: async () => body }) as Response;

test("pressed, it shows rule, arithmetic, numbers, where the ± comes from, and what to note", async () => {
  open(["8.62", flow]);
  await userEvent.click(screen.getByRole("button", { name: "8.62" }));
  const text = (await screen.findByRole("dialog", { name: "Working: Flow" })).textContent!;
  for (const part of [
    "8.62± 0.11 L/min",
    "Water over time.",
    "Q = m ÷ t",
    "Collected",
    "8.60kg",
    "scale · entered by Ada, 2027-02-03 09:15",
    "64 %",
    "One attempt is left out.",
    "Physical limit 20 L/min: within",
  ])
    expect(text).toContain(part);
});

test("what is closed while its working is fetched stays closed when it arrives", async () => {
  let arrive: (r: Response) => void = () => {};
  globalThis.fetch = jest.fn(() => new Promise<Response>((done) => (arrive = done))) as never;
  open(["8.62", "/api/working?of=run"]);
  await userEvent.click(screen.getByRole("button", { name: "8.62" }));
  expect(await screen.findByRole("dialog", { name: "Working: …" })).toBeTruthy();
  await userEvent.keyboard("{Escape}");
  expect(screen.queryByRole("dialog")).toBeNull();
  await act(async () => arrive(json(flow)));
  expect(screen.queryByRole("dialog")).toBeNull();
});

test("W opens it from the keyboard, Escape closes it", async () => {
  open(["8.62", flow]);
  act(() => screen.getByRole("button", { name: "8.62" }).focus());
  await userEvent.keyboard("w");
  expect(await screen.findByRole("dialog")).toBeTruthy();
  await userEvent.keyboard("{Escape}");
  await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
});

test("a working by its address is fetched when it is opened, not before", async () => {
  const get = jest.fn(async () => json(flow));
  globalThis.fetch = get as unknown as typeof fetch;
  open(["8.62", "/working/1"]);
  expect(get).not.toHaveBeenCalled();
  await userEvent.click(screen.getByRole("button", { name: "8.62" }));
  expect(await screen.findByRole("dialog", { name: "Working: Flow" })).toBeTruthy();
  expect(get.mock.calls).toEqual([["/working/1"]]);
});

test("one that cannot be fetched says what to do", async () => {
  for (const answer of [async () => json({}, false), async () => Promise.reject(new Error("offline"))]) {
    globalThis.fetch = answer as unknown as typeof fetch;
    const { unmount } = open(["8.62", "/working/1"]);
    await userEvent.click(screen.getByRole("button", { name: "8.62" }));
    expect(await screen.findByText(/Press the figure again, or reload the page/)).toBeTruthy();
    unmount();
  }
});

test("of two that were pressed the last one stays, however late the first arrives", async () => {
  let first: (r: Response) => void = () => {};
  globalThis.fetch = ((url: string) =>
    url === "/slow"
      ? new Promise<Response>((r) => (first = r))
      : Promise.resolve(json({ ...flow, title: "Mass" }))) as unknown as typeof fetch;
  open(["8.62", "/slow"], ["4.40", "/quick"]);
  await userEvent.click(screen.getByRole("button", { name: "8.62" }));
  await userEvent.click(screen.getByRole("button", { name: "4.40" }));
  expect(await screen.findByRole("dialog", { name: "Working: Mass" })).toBeTruthy();
  await act(async () => first(json(flow)));
  expect(screen.getByRole("dialog", { name: "Working: Mass" })).toBeTruthy();
});
