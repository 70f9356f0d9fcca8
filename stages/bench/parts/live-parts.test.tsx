/** @jest-environment jsdom */
import { act, cleanup, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { Live } from "../capture/engine";
import type { Capture } from "../capture/store";
import { CaptureKept } from "./captures-kept";
import { LiveCapture } from "./live-capture";
import { LiveReadings } from "./live-readings";

const router = { refresh: jest.fn(), push: jest.fn() };
jest.mock("next/navigation", () => ({ useRouter: () => router }));
jest.mock("@/ui/link", () => ({ __esModule: true, default: (p: object) => <a {...p} /> }));
jest.mock("./lazy-charts", () => ({ LazySeriesChart: () => null }));
jest.mock("../actions", () => ({}));
const mockBegin = jest.fn();
const mockEnd = jest.fn();
jest.mock("../capture/store", () => ({
  beginCapture: (...x: unknown[]) => mockBegin(...x),
  endCapture: (...x: unknown[]) => mockEnd(...x),
}));
let mockThere: (c: Capture, series: readonly string[]) => void = () => {};
const mockKept: unknown[] = [];
jest.mock("./use-captures", () => ({
  useCaptures: (there: typeof mockThere) => {
    mockThere = there;
    return {
      kept: mockKept,
      offline: false,
      closed: "",
      open: async () => ({}),
      look: async () => {},
      drop: jest.fn(),
    };
  },
}));

/** The worker that listens, as the page sees it. */
class FakeWorker {
  static last: FakeWorker;
  readonly sent: { capture?: Capture; stop?: true }[] = [];
  onmessage: (e: { data: unknown }) => void = () => {};
  onerror = () => {};
  constructor() {
    FakeWorker.last = this;
  }
  postMessage(x: object) {
    this.sent.push(x);
  }
  terminate() {}
}
Object.assign(globalThis, { Worker: FakeWorker });

const force = {
  key: "F",
  name: "Force",
  unit: "N",
  resolution: "0.5",
  take: { rule: "peak" as const, unit: "N", channel: "force" },
};
const live = (samples: number): Live => ({
  seconds: 3.2,
  readings: [
    {
      key: "F",
      samples,
      curve: [],
      last: 12.25,
      taken: samples ? { value: 40.5, from: 1, to: 1 } : null,
      why: "",
      silent: [{ from: 1, to: 2.5 }],
    },
  ],
  left: { count: 2, why: "“x” is no number" },
  restarts: 1,
  unused: ["strokes"],
});
const page = () =>
  render(<LiveCapture slug="pump" buildId="b" protocolVersionId="v" page="/live" measures={[force]} />);
beforeEach(() => {
  jest.clearAllMocks();
  mockKept.length = 0;
});
afterEach(cleanup);

test("what is wrong with the simulated instrument is said beside its field, and nothing begins", async () => {
  page();
  await userEvent.click(screen.getByText("Its test, its noise and its faults"));
  const rate = screen.getByLabelText("Samples a second");
  await userEvent.clear(rate);
  await userEvent.type(rate, "many");
  expect(screen.getByText("Write a number, from 0.1 to 1000")).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: "Begin" }));
  expect(screen.getByRole("status").textContent).toContain("cannot be used");
  expect(mockBegin).not.toHaveBeenCalled();
});

test("a capture is kept before its worker listens; it is drawn, ended, and shown once it arrived", async () => {
  page();
  await userEvent.click(screen.getByRole("button", { name: "Begin" }));
  const [[, capture]] = mockBegin.mock.calls as [[unknown, Capture]];
  expect(capture).toMatchObject({ source: expect.stringMatching(/^Simulated: force gauge/), page: "/live" });
  expect(capture.readings).toMatchObject([{ key: "F", unit: "N", channel: "force" }]);
  const worker = FakeWorker.last;
  expect(worker.sent[0]!.capture!.id).toBe(capture.id);
  act(() => worker.onmessage({ data: { live: live(160) } }));
  expect((await screen.findByText("40.50 N")).textContent).toBeTruthy();
  expect(
    screen.getByText(/3 s · not used: strokes · 2 lines left out: “x” is no number · its clock began anew once/),
  ).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: "End it" }));
  expect(worker.sent[1]).toEqual({ stop: true });
  act(() => worker.onmessage({ data: { ended: true } }));
  act(() => mockThere(capture, [capture.readings[0]!.seriesId]));
  await waitFor(() =>
    expect(router.push).toHaveBeenCalledWith(`/p/pump/bench/series?id=${capture.readings[0]!.seriesId}`),
  );
});

test("a lost instrument is said, and the capture that another page began does not lead away from here", async () => {
  page();
  await userEvent.click(screen.getByRole("button", { name: "Begin" }));
  act(() => FakeWorker.last.onmessage({ data: { lost: "The instrument was lost." } }));
  expect(await screen.findByText("The instrument was lost.")).toBeTruthy();
  expect(screen.getByRole("button", { name: "Begin" })).toBeTruthy();
  mockThere({ id: "another" } as Capture, ["s"]);
  expect(router.push).not.toHaveBeenCalled();
});

test("a capture to which nothing came leads nowhere, and says so", async () => {
  page();
  await userEvent.click(screen.getByRole("button", { name: "Begin" }));
  const [[, capture]] = mockBegin.mock.calls as [[unknown, Capture]];
  await userEvent.click(screen.getByRole("button", { name: "End it" }));
  act(() => FakeWorker.last.onmessage({ data: { ended: true } }));
  act(() => mockThere(capture, []));
  expect(screen.getByRole("status").textContent).toContain("Nothing came");
  expect(router.push).not.toHaveBeenCalled();
});

test("readings show what was kept, what would be taken, and where nothing came", () => {
  const { rerender } = render(<LiveReadings live={live(2)} measures={[force]} />);
  expect(screen.getByText(/2 samples/).textContent).toContain("the last 12.25 N");
  expect(screen.getByText(/Nothing came from 1.000 s to 2.500 s/)).toBeTruthy();
  rerender(<LiveReadings live={live(0)} measures={[force]} />);
  expect(screen.getByText("Nothing came on this reading's channel yet.")).toBeTruthy();
  expect(screen.getByText("nothing yet")).toBeTruthy();
});

describe("a capture that is kept", () => {
  const capture = { id: "c", source: "Probe", startedAt: 0, page: "/live", readings: [] } as unknown as Capture;
  const show = (more: object) => {
    const acts = { onGoOn: jest.fn(), onEnd: jest.fn(), onDrop: jest.fn() };
    render(<CaptureKept kept={{ capture, ended: false, heard: false, refused: "", ...more }} {...acts} />);
    return acts;
  };
  test("that was interrupted goes on, is ended, or thrown away after one more question", async () => {
    const acts = show({});
    expect(screen.getByText(/was interrupted; what came is kept/)).toBeTruthy();
    await userEvent.click(screen.getByRole("button", { name: "Go on" }));
    await userEvent.click(screen.getByRole("button", { name: "End it with what is there" }));
    await userEvent.click(screen.getByRole("button", { name: "Throw away" }));
    expect(acts.onDrop).not.toHaveBeenCalled();
    await userEvent.click(screen.getByRole("button", { name: "Throw it away" }));
    expect([acts.onGoOn, acts.onEnd, acts.onDrop].map((f) => f.mock.calls.length)).toEqual([1, 1, 1]);
  });
  test.each([
    [{ heard: true }, /is taken in another page/, 0],
    [{ ended: true }, /waits for the network/, 0],
    [{ ended: true, refused: "An attempt was taken." }, /takes no more of it: An attempt was taken\./, 1],
  ])("%j says so", (more, words, buttons) => {
    show(more);
    expect(screen.getByText(words)).toBeTruthy();
    expect(screen.queryAllByRole("button")).toHaveLength(buttons);
  });
});
