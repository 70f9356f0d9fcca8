/** @jest-environment jsdom */
// A logger's file on its way, and the attempt that is taken from a series: nothing is sent twice.
import { cleanup, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { Measure } from "@/core/run/protocol";
import { loadSelect } from "@/ui/select";
import { box as record } from "@/ui/testing/boxed";
import { emptyBoxes } from "@/ui/testing/waiting";
import { addBlocksAction, openSeriesAction } from "../actions";
import { blockSize } from "../schema";
import { SeriesAttempt } from "./series-attempt";
import { SeriesUpload } from "./series-upload";

const router = { refresh: jest.fn(), push: jest.fn() };
jest.mock("next/navigation", () => ({ useRouter: () => router }));
jest.mock("./lazy-charts", () => ({ LazySeriesChart: () => null }));
jest.mock("@/ui/boxed", () => jest.requireActual("@/ui/testing/boxed").boxes);
jest.mock("../actions", () => ({
  addBlocksAction: jest.fn(),
  openSeriesAction: jest.fn(),
}));
const openSeries = openSeriesAction as unknown as jest.Mock;
const addBlocks = addBlocksAction as unknown as jest.Mock;
const ok = { ok: true, value: { attempt: 1 } };

/** A worker that answers as the page's own does, at once. */
class FakeWorker {
  static read: object = {};
  static asked: object[] = [];
  onmessage: (e: { data: object }) => void = () => {};
  onerror = () => {};
  terminate() {}
  postMessage(message: object) {
    FakeWorker.asked.push(message);
    const columns = { names: ["time", "vial"], start: 1, time: 0, value: 1 };
    queueMicrotask(() => this.onmessage({ data: "text" in message ? { columns } : FakeWorker.read }));
  }
}
beforeAll(() => {
  (globalThis as { Worker?: unknown }).Worker = FakeWorker;
  File.prototype.text ??= async () => "time,vial";
  return loadSelect();
});
beforeEach(async () => {
  await emptyBoxes();
  jest.resetAllMocks();
  localStorage.clear();
  FakeWorker.asked = [];
  openSeries.mockResolvedValue(ok);
  addBlocks.mockResolvedValue(ok);
});

const blocks = Array.from({ length: blockSize.blocks + 3 }, (_, i) => `block ${i}`);
const read = (more: object = {}) => ({
  samples: 900,
  ends: 899,
  curve: [],
  blocks,
  left: [],
  leftCount: 0,
  problem: null,
  ...more,
});
async function choose(result: object) {
  FakeWorker.read = result;
  render(
    <SeriesUpload slug="box" buildId="b" protocolVersionId="v" measures={[{ key: "th", name: "Hold", unit: "°C" }]} />,
  );
  await userEvent.upload(screen.getByLabelText("The logger's file (CSV)"), new File(["time,vial"], "box.csv"));
}
const keep = () => userEvent.click(screen.getByRole("button", { name: "Keep this series" }));
const numbers = () =>
  addBlocks.mock.calls.map(([x]) => (x as { blocks: { number: number }[] }).blocks.map((b) => b.number));

test("a file goes to the server in its blocks, in order, and its page is opened", async () => {
  await choose(read({ leftCount: 1, left: [{ line: 9, why: "“n/a” is no value" }] }));
  expect(await screen.findByText(/900 samples over 899\.0 s\. 1 line holds none and is left out: line 9/)).toBeTruthy();
  await keep();
  await waitFor(() => expect(router.push).toHaveBeenCalled());
  const [{ id, source, key }] = openSeries.mock.calls[0] as [{ id: string; source: string; key: string }];
  expect([source, key]).toEqual(["box.csv", "th"]);
  expect(numbers().map((n) => [n[0], n.length])).toEqual([
    [0, 20],
    [20, 3],
  ]);
  expect(router.push).toHaveBeenCalledWith(`/p/box/bench/series?id=${id}`);
});

test("where the network goes, what arrived is kept, and pressing again goes on with the same series", async () => {
  await choose(read());
  await screen.findByText(/900 samples/);
  addBlocks.mockResolvedValueOnce(ok).mockRejectedValueOnce(new TypeError("fetch failed"));
  await keep();
  expect(
    await screen.findByText("The network did not answer. What arrived is kept: press again to go on."),
  ).toBeTruthy();
  await keep();
  await waitFor(() => expect(router.push).toHaveBeenCalled());
  expect(new Set(openSeries.mock.calls.map(([x]) => (x as { id: string }).id)).size).toBe(1);
});

test("a table that is no record of one channel is not offered to be kept", async () => {
  await choose(read({ problem: "Line 4: the time 2 does not come after the one before it." }));
  expect(await screen.findByText(/^Line 4/)).toBeTruthy();
  expect(screen.queryByRole("button", { name: "Keep this series" })).toBeNull();
});

test("another column is read anew", async () => {
  await choose(read());
  await screen.findByText(/900 samples/);
  await userEvent.click(screen.getByLabelText("Unit of the time"));
  await userEvent.click(await screen.findByRole("option", { name: "minutes" }));
  expect(FakeWorker.asked.at(-1)).toEqual({
    choice: { time: 0, value: 1, secondsPerUnit: 60 },
    start: 1,
    perBlock: blockSize.samples,
  });
});

describe("an attempt from a series", () => {
  const mass: Measure = { key: "m", name: "Mass", unit: "kg", resolution: "0.1", max: "9" };
  const attempt = () =>
    render(
      <SeriesAttempt
        pilot={false}
        seriesIds={["s"]}
        buildId="b"
        protocolVersionId="v"
        measures={[mass]}
        conditions={[]}
        words="6 h."
      />,
    );
  const save = () => userEvent.click(screen.getByRole("button", { name: "Save as an attempt" }));
  test("asks for what the instrument does not give, and for an odd reading once more", async () => {
    attempt();
    await save();
    expect(screen.getByText("Mass is missing.")).toBeTruthy();
    await userEvent.type(screen.getByLabelText("Mass in kg"), "12");
    record.mockResolvedValueOnce({
      ok: false,
      kind: "refused",
      message: "If it is right, save it once more.",
      fields: { sure: "x" },
    });
    record.mockResolvedValueOnce(ok);
    await save();
    await screen.findByText("If it is right, save it once more.");
    await save();
    await waitFor(() => expect(record).toHaveBeenCalledTimes(2));
    const sent = record.mock.calls.map(
      ([x]) => x as { id: string; sure: boolean; seriesIds: string[]; readings: object },
    );
    expect(sent.map((s) => [s.sure, s.seriesIds, s.readings])).toEqual([
      [false, ["s"], { m: "12" }],
      [true, ["s"], { m: "12" }],
    ]);
  });
  test("waits in the browser where there is no network, also through a reload", async () => {
    record.mockRejectedValue(new TypeError("offline"));
    attempt();
    await userEvent.type(screen.getByLabelText("Mass in kg"), "4");
    await save();
    expect(await screen.findByText("No connection: this attempt waits and is sent by itself.")).toBeTruthy();
    cleanup();
    record.mockReset();
    record.mockResolvedValue({ ok: true, value: { attempt: 1 } });
    attempt();
    await waitFor(() => expect(record).toHaveBeenCalledTimes(1));
    expect(record.mock.calls[0]![0]).toMatchObject({ seriesIds: ["s"], readings: { m: "4" } });
  });
});
