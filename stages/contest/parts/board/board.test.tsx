/** @jest-environment jsdom */
// A board: it draws what is sent to it, says when its line is lost, and comes back by itself.
import { act, render, screen } from "@testing-library/react";
import { boardChange } from "../../view/board-change";
import type { BoardFace, BoardState } from "../../view/board-face";
import { Board } from "./board";

const heard: Record<string, (e: { data: string }) => void> = {};
const closed = jest.fn();
beforeEach(() => {
  jest.clearAllMocks();
  globalThis.EventSource = class {
    addEventListener(kind: string, f: (e: { data: string }) => void) {
      heard[kind] = f;
    }
    close = closed;
  } as unknown as typeof EventSource;
});
const say = (kind: string, data: unknown = {}) => act(() => heard[kind]!({ data: JSON.stringify(data) }));
const state = (face: BoardFace, more: Partial<BoardState> = {}): BoardState => ({
  title: "Terrace Pump contest",
  light: false,
  says: [{ text: "Timed lift" }],
  seed: "run order drawn with seed 7",
  foot: "",
  halt: "",
  call: "",
  face,
  ...more,
});
const rows = (shown: string) =>
  state({
    kind: "attempts",
    unit: "L/min",
    counts: "best of 3",
    points: false,
    rows: [{ id: "a", place: "1", name: "Alder", on: false, attempts: [shown, "–"], counted: [0], shown, points: "–" }],
  });

test("a new state is drawn when it comes, and the board says as of when", () => {
  render(<Board first={rows("8.6")} url="/api/board?project=p" />);
  expect(screen.getByText(/seed 7/).textContent).not.toContain("as of");
  say("board", rows("8.9"));
  expect(screen.getByRole("row", { name: /Alder 8\.9/ })).toBeTruthy();
  expect(screen.getByText(/seed 7 · as of \d\d:\d\d:\d\d/)).toBeTruthy();
});

test("what has changed is drawn into what stands; what belongs to another state is not", () => {
  render(<Board first={rows("8.6")} url="/x" />);
  say("change", { state: rows("1.1"), rows: [0] });
  expect(screen.getByRole("row", { name: /Alder 8\.6/ })).toBeTruthy();
  say("board", rows("8.6"));
  say("change", boardChange(rows("8.6"), rows("9.2")));
  expect(screen.getByRole("row", { name: /Alder 9\.2/ })).toBeTruthy();
  say("change", { ...boardChange(rows("9.2"), rows("9.9")), rows: [7] });
  expect(screen.getByRole("row", { name: /Alder 9\.2/ })).toBeTruthy();
  // It asks for all of it again.
  expect(closed).toHaveBeenCalledTimes(1);
});

test("a lost line is said, and gone when something is heard again", () => {
  render(<Board first={rows("8.6")} url="/api/board?project=p" />);
  const status = () => screen.getByRole("status").textContent;
  say("error");
  expect(status()).toContain("may be old");
  say("open");
  expect(status()).toBe("");
  say("lost");
  expect(status()).toContain("may be old");
  say("board", rows("8.6"));
  expect(status()).toBe("");
});

test("awards: the last one revealed is the large one, those before stand below; nothing before the first", () => {
  const award = (title: string, teams: string) => ({ title, teams, says: "" });
  const face = (...awards: ReturnType<typeof award>[]) => state({ kind: "awards", left: 1, awards, besides: [] });
  render(<Board first={face()} url="/x" />);
  expect(screen.getByText("Awards")).toBeTruthy();
  say("board", face(award("Lightest", "Weir"), award("Champion", "Gully")));
  expect(screen.getByText("Champion").closest("section")!.textContent).toContain("Gully");
  expect(screen.getByText("Lightest").closest("li")!.textContent).toContain("Weir");
});

test("the order, a pause, a halt, and leaving the page", () => {
  const on = [
    { when: "Now", who: "Alder" },
    { when: "Next", who: "Gully" },
  ];
  const { unmount } = render(<Board first={state({ kind: "order", on }, { halt: "A hose burst" })} url="/x" />);
  expect(screen.getByRole("alert").textContent).toBe("Halted: A hose burst");
  expect(screen.getAllByRole("listitem").map((l) => l.textContent)).toEqual(["NowAlder", "NextGully"]);
  say("board", state({ kind: "pause", words: "At 14:10" }));
  expect([screen.queryByRole("alert"), screen.getByText("At 14:10") !== null]).toEqual([null, true]);
  unmount();
  expect(closed).toHaveBeenCalled();
});
