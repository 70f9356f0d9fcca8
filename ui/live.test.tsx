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
  say(kind: string, request: string | null = null) {
    act(() => {
      this.heard[kind]!({ data: JSON.stringify({ request }) });
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
  const { rerender } = render(<LiveRefresh url="/live?p=1" shows={shows} base="/p/pump" />);
  expect(line().url).toBe("/live?p=1&about=run,build");
  path = "/p/pump/plan/gates";
  rerender(<LiveRefresh url="/live?p=1" shows={shows} base="/p/pump" />);
  expect([line().url, Line.all[0]!.closed]).toEqual(["/live?p=1&about=task", true]);
  path = "/p/pump/elsewhere";
  rerender(<LiveRefresh url="/live?p=1" shows={shows} base="/p/pump" />);
  expect(line().url).toBe("/live?p=1");
});

test("what others write loads the page again; what was sent from here does not", () => {
  render(<LiveRefresh url="/live" shows={["run"]} />);
  line().say("change", sentByUs("mine"));
  expect(refresh).not.toHaveBeenCalled();
  line().say("change", "theirs");
  line().say("change", null);
  expect(refresh).toHaveBeenCalledTimes(2);
});

test("several writes in a moment load it once", () => {
  render(<LiveRefresh url="/live" shows={["run"]} />);
  act(() => {
    for (let i = 0; i < 5; i++) line().heard.change!({ data: JSON.stringify({ request: `${i}` }) });
    jest.runAllTimers();
  });
  expect(refresh).toHaveBeenCalledTimes(1);
});

test("a lost line is said; when it is back the page loads, and the first time it does not", () => {
  render(<LiveRefresh url="/live" shows={["run"]} />);
  line().say("ready");
  expect([refresh.mock.calls.length, screen.getByRole("status").textContent]).toEqual([0, ""]);
  line().say("error");
  expect(screen.getByRole("status").textContent).toBe("No connection: what you see may be old");
  line().say("ready");
  expect([refresh.mock.calls.length, screen.getByRole("status").textContent]).toEqual([1, ""]);
});

test("a page that is left asks no more", () => {
  const { unmount } = render(<LiveRefresh url="/live" shows={["run"]} />);
  unmount();
  expect(line().closed).toBe(true);
});
