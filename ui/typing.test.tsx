/** @jest-environment jsdom */
// What is typed and not sent yet: kept in this browser, in cells of a table, and on its way as an attempt.
import { act, renderHook } from "@testing-library/react";
import { attemptWords } from "./attempts";
import { useBoxes } from "./boxes";
import { keep, keptObject, readKept } from "./kept";
import { useTyping } from "./typing";
import { useWindowed } from "./windowed";

beforeEach(() => localStorage.clear());

describe("several fields", () => {
  const start = { mass: "", note: "" };
  const open = (key = "entry") => renderHook(({ of }) => useTyping(of, start), { initialProps: { of: key } });
  const typed = (h: ReturnType<typeof open>) => h.result.current[0];
  const change = (h: ReturnType<typeof open>, to: Partial<typeof start> | null) => act(() => h.result.current[1](to));

  test("two changes at once are both kept, and a page that is loaded again has them", () => {
    const first = open();
    act(() => {
      first.result.current[1]({ mass: "4.2" });
      first.result.current[1]({ note: "wet" });
    });
    expect(typed(first)).toEqual({ mass: "4.2", note: "wet" });
    first.unmount();
    expect(typed(open())).toEqual({ mass: "4.2", note: "wet" });
    expect(typed(open("another"))).toEqual(start);
  });

  test("what was sent is forgotten, also where the page has moved on meanwhile", () => {
    const page = open();
    change(page, { mass: "4.2" });
    const { current } = page.result;
    page.unmount();
    act(() => current[1](null));
    expect(typed(open())).toEqual(start);
    expect(readKept("entry")).toBeNull();
  });

  test("a browser whose storage is closed types all the same; what cannot be read is none", () => {
    localStorage.setItem("entry", "{broken");
    expect(keptObject("entry")).toBeNull();
    localStorage.setItem("entry", "7");
    expect(keptObject("entry")).toBeNull();
    const set = jest.spyOn(Storage.prototype, "setItem").mockImplementation(() => {
      throw new Error("full");
    });
    const page = open();
    change(page, { mass: "4.2" });
    expect(typed(page).mass).toBe("4.2");
    set.mockRestore();
    const get = jest.spyOn(Storage.prototype, "getItem").mockImplementation(() => {
      throw new Error("closed");
    });
    expect(readKept("entry")).toBeNull();
    get.mockRestore();
    keep("entry", "");
    expect(localStorage.getItem("entry")).toBeNull();
  });
});

test("cells of a table: known at once to who handles a key, shown at the next rendering, found by their write", () => {
  const { result } = renderHook(() => useBoxes({ text: "", id: undefined as string | undefined }));
  act(() => {
    result.current.change("a", { text: "1" });
    expect(result.current.now("a")).toEqual({ text: "1", id: undefined });
    expect(result.current.shown("a").text).toBe("");
    result.current.change("a", { id: "w1" });
    result.current.change("b", { text: "2", id: "w2" });
  });
  expect(result.current.shown("a")).toEqual({ text: "1", id: "w1" });
  expect([result.current.keyOf("w2"), result.current.keyOf("w9")]).toEqual(["b", undefined]);
  expect(result.current.now("z").text).toBe("");
  const field = document.createElement("input");
  document.body.append(field);
  act(() => result.current.field("b")(field));
  result.current.focus("b");
  expect(document.activeElement).toBe(field);
  result.current.focus("nowhere");
  expect(document.activeElement).toBe(field);
});

describe("a long list", () => {
  let seen: (rows: { isIntersecting: boolean }[]) => void = () => {};
  const watched = { observe: jest.fn(), disconnect: jest.fn() };
  beforeEach(() => {
    globalThis.IntersectionObserver = class {
      constructor(see: typeof seen) {
        seen = see;
      }
      observe = watched.observe;
      disconnect = watched.disconnect;
    } as never;
  });
  const rows = Array.from({ length: 100 }, (_, i) => i);
  const open = () => renderHook(() => useWindowed(rows, 30));

  test("shows more as its end comes near, and says how many are left", () => {
    const { result } = open();
    expect([result.current.shown.length, result.current.more]).toEqual([30, 70]);
    act(() => result.current.mark(document.createElement("div")));
    act(() => seen([{ isIntersecting: false }]));
    expect(result.current.shown.length).toBe(30);
    act(() => seen([{ isIntersecting: true }]));
    expect([result.current.shown.length, result.current.more]).toEqual([60, 40]);
  });

  test("a row that is jumped to is laid out; nearer ones change nothing", () => {
    const { result } = open();
    act(() => result.current.reach(10));
    expect(result.current.shown.length).toBe(30);
    act(() => result.current.reach(50));
    expect(result.current.shown).toContain(50);
  });

  test("all of it is printed", () => {
    const { result, unmount } = open();
    act(() => void window.dispatchEvent(new Event("beforeprint")));
    expect([result.current.shown.length, result.current.more]).toEqual([100, 0]);
    watched.disconnect.mockClear();
    act(() => result.current.mark(document.createElement("div")));
    unmount();
    expect(watched.disconnect).toHaveBeenCalled();
  });
});

test("an attempt in words: its readings with their units, or what came instead", () => {
  const measures = [
    { key: "t", name: "Time", unit: "s" },
    { key: "n", name: "Hits", unit: "1" },
  ];
  expect(attemptWords(measures, { state: "valid", readings: { t: "12.4", n: "3" } })).toBe("Time 12.4 s, Hits 3");
  expect(attemptWords(measures, { state: "valid", readings: { t: "12.4" } })).toBe("Time 12.4 s, Hits");
  expect(attemptWords(measures, { state: "no_finish", readings: {} })).toMatch(/no finish/i);
});
