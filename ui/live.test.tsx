/** @jest-environment jsdom */
// Live pages: they ask for what they show, load again for others' writes only, and say when the line is lost.
import { act, render, screen } from "@testing-library/react";
import { LiveRefresh } from "./live";
import { sentByUs } from "./own-requests";

const refresh = jest.fn();
let path = "/p/pump/bench";
jest.mock("next/navigation", () => ({ useRouter: () => router, usePathname: () => path }));
const router = { refresh };

class Line {
  static all: Line[] = [];
  heard: Record<string, (e: { data: string }) => void> = {};
  closed = false;
  constructor(readonly url: string) {
    Line.all.push(this);
  }
  addEventListener(kind: string, f: (e: { data: string }) => void) {
    this.heard[kind] = f;
  }
  close() {
    this.closed = true;
  }
  say(kind: string, request: string | null = null, number?: number) {
    act(() => {
      this.heard[kind]!({ data: JSON.stringify({ request, number }) });
      jest.runAllTimers();
    });
  }
}
const line = () => Line.all.at(-1)!;

beforeEach(() => {
  jest.useFakeTimers();
  jest.clearAllMocks();
  Line.all = [];
  globalThis.EventSource = Line as unknown as typeof EventSource;
});
afterEach(() => jest.useRealTimers());

test("a page asks for the topics of its own part of the project", () => {
  const shows = { bench: ["run", "build"], plan: ["task"] };
  const { rerender } = render(<LiveRefresh since={7} url="/live?p=1" shows={shows} base="/p/pump" />);
  expect(line().url).toBe("/live?p=1&about=run,build&since=7");
  path = "/p/pump/plan/gates";
  rerender(<LiveRefresh since={7} url="/live?p=1" shows={shows} base="/p/pump" />);
  expect([line().url, Line.all[0]!.closed]).toEqual(["/live?p=1&about=task&since=7", true]);
  path = "/p/pump/elsewhere";
  rerender(<LiveRefresh since={7} url="/live?p=1" shows={shows} base="/p/pump" />);
  expect(line().url).toBe("/live?p=1&since=7");
});

test("a page that is written to all the time loads again once in a while, and not for each", () => {
  render(<LiveRefresh since={7} url="/live" shows={["run"]} every={5000} />);
  const hear = () => act(() => line().heard.change!({ data: JSON.stringify({ request: "theirs" }) }));
  hear();
  act(() => jest.advanceTimersByTime(100));
  expect(refresh).toHaveBeenCalledTimes(1);
  for (let i = 0; i < 4; i++) {
    hear();
    act(() => jest.advanceTimersByTime(1000));
  }
  expect(refresh).toHaveBeenCalledTimes(1);
  act(() => jest.advanceTimersByTime(1000));
  expect(refresh).toHaveBeenCalledTimes(2);
});

test("what others write loads the page again; what was sent from here does not", () => {
  render(<LiveRefresh since={7} url="/live" shows={["run"]} />);
  line().say("change", sentByUs("mine"));
  expect(refresh).not.toHaveBeenCalled();
  line().say("change", "theirs");
  line().say("change", null);
  expect(refresh).toHaveBeenCalledTimes(2);
});

test("several writes in a moment load it once", () => {
  render(<LiveRefresh since={7} url="/live" shows={["run"]} />);
  act(() => {
    for (let i = 0; i < 5; i++) line().heard.change!({ data: JSON.stringify({ request: `${i}` }) });
    jest.runAllTimers();
  });
  expect(refresh).toHaveBeenCalledTimes(1);
});

test("a lost line is said; when it is back the page loads, and the first time it does not", () => {
  render(<LiveRefresh since={7} url="/live" shows={["run"]} />);
  line().say("ready");
  expect([refresh.mock.calls.length, screen.getByRole("status").textContent]).toEqual([0, ""]);
  line().say("error");
  expect(screen.getByRole("status").textContent).toBe("No connection: what you see may be old");
  line().say("ready");
  expect([refresh.mock.calls.length, screen.getByRole("status").textContent]).toEqual([1, ""]);
});

test("without a network a page is not loaded, which would take it away; when it is back it is", () => {
  render(<LiveRefresh since={7} url="/live" shows={["run"]} />);
  const network = jest.spyOn(navigator, "onLine", "get").mockReturnValue(false);
  line().say("change", "theirs");
  expect(refresh).not.toHaveBeenCalled();
  network.mockRestore();
  const online = () =>
    act(() => {
      window.dispatchEvent(new Event("online"));
      jest.runAllTimers();
    });
  online();
  expect(refresh).toHaveBeenCalledTimes(1);
  // Nothing was missed.
  online();
  expect(refresh).toHaveBeenCalledTimes(1);
});

test("a network that is back before the line is not trusted with a load", () => {
  render(<LiveRefresh since={7} url="/live" shows={["run"]} />);
  const network = jest.spyOn(navigator, "onLine", "get").mockReturnValue(false);
  line().say("change", "theirs");
  line().say("error");
  network.mockRestore();
  act(() => {
    window.dispatchEvent(new Event("online"));
    jest.runAllTimers();
  });
  expect(refresh).not.toHaveBeenCalled();
  line().say("ready");
  expect(refresh).toHaveBeenCalledTimes(1);
});

test("a load that was about to begin when the line broke waits for the line", () => {
  render(<LiveRefresh since={7} url="/live" shows={["run"]} />);
  act(() => line().heard.change!({ data: JSON.stringify({ request: "theirs" }) }));
  line().say("error");
  expect(refresh).not.toHaveBeenCalled();
  line().say("ready");
  expect(refresh).toHaveBeenCalledTimes(1);
});

test("a page that is left asks no more", () => {
  const { unmount } = render(<LiveRefresh since={7} url="/live" shows={["run"]} />);
  unmount();
  expect(line().closed).toBe(true);
});

test("the next line asks from what was heard or made last, whichever is newer", () => {
  path = "/p/pump/bench";
  const shows = { bench: ["run"], plan: ["task"] };
  const page = (since: number) => <LiveRefresh since={since} url="/live?p=1" shows={shows} base="/p/pump" />;
  const { rerender } = render(page(7));
  line().say("ready", null, 9);
  path = "/p/pump/plan";
  rerender(page(8));
  expect(line().url).toBe("/live?p=1&about=task&since=9");
  line().say("change", "theirs", 10);
  path = "/p/pump/bench";
  rerender(page(12));
  expect(line().url).toBe("/live?p=1&about=run&since=12");
});
