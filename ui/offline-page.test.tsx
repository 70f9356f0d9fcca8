/** @jest-environment jsdom */
// A page that is kept for without a network: what it was made of, what is opened later, and the pages it leads to.
import { act, render, screen, waitFor } from "@testing-library/react";
import { keptToo, loadKeptToo } from "./kept-too";
import { keptHandbook, keptPages, keptParts } from "./offline-names";
import { OfflinePage } from "./offline-page";

/** Caches as a browser has them, by name. */
const stored = new Map<string, Map<string, unknown>>();
const cacheOf = (name: string) => {
  const all = stored.get(name) ?? new Map<string, unknown>();
  stored.set(name, all);
  return {
    match: async (path: string) => all.get(path),
    add: async (path: string) => void all.set(path, "asked"),
    put: async (path: string, page: unknown) => void all.set(path, page),
  };
};
const keys = (name: string) => [...(stored.get(name)?.keys() ?? [])];
let made: string[] = [];
let answers: Record<string, { ok: boolean } | Error> = {};
const registered = jest.fn();

function worker(state: "active" | "none") {
  Object.defineProperty(navigator, "serviceWorker", {
    configurable: true,
    value: {
      register: async (script: string, how: { scope: string }) => {
        registered(script, how.scope);
        if (state === "none") throw new Error("insecure");
        return { active: {} };
      },
    },
  });
}
beforeEach(() => {
  stored.clear();
  registered.mockClear();
  made = ["/_next/static/chunks/a.js", "/_next/static/chunks/a.js", "/api/live", "/_next/static/media/f.woff2"];
  answers = {};
  Object.assign(globalThis, {
    caches: { open: async (name: string) => cacheOf(name) },
    fetch: async (address: string) => {
      const answer = answers[address] ?? { ok: true };
      if (answer instanceof Error) throw answer;
      return answer;
    },
  });
  performance.getEntriesByType = () => made.map((path) => ({ name: `http://localhost${path}` })) as never;
});
const kept = () => screen.findByText(/This page opens without a network too/);

test("a guest's page is kept with what it was made of, itself, and the pages that it leads to", async () => {
  worker("active");
  window.history.replaceState(null, "", "/guest?event=1");
  answers = { "/guest?event=3": { ok: false }, "/guest?event=4": new Error("offline") };
  const pages = [1, 2, 3, 4].map((n) => `/guest?event=${n}`);
  render(<OfflinePage pages={pages} load={async () => {}} />);
  await kept();
  expect(registered).toHaveBeenCalledWith("/guest-offline.js", "/guest");
  expect(keys(keptParts)).toEqual(["/_next/static/chunks/a.js", "/_next/static/media/f.woff2"]);
  // What the server did not give is not kept as if it had.
  expect(keys(keptPages)).toEqual(["/guest?event=1", "/guest?event=2"]);
});

test("what is loaded when it is first opened is loaded before the page says that it is kept", async () => {
  worker("active");
  let arrive: () => void = () => {};
  const inner = jest.fn(async () => {});
  const load = keptToo(() => new Promise<void>((done) => (arrive = done)).then(() => void keptToo(inner)));
  expect(load).toBeInstanceOf(Function);
  render(<OfflinePage pages={[]} load={loadKeptToo} />);
  await waitFor(() => expect(registered).toHaveBeenCalled());
  await act(async () => {});
  expect(screen.queryByText(/opens without a network/)).toBeNull();
  made.push("/_next/static/chunks/gates.js");
  await act(async () => arrive());
  await kept();
  expect(keys(keptParts)).toContain("/_next/static/chunks/gates.js");
  // What it loads in its turn too.
  expect(inner).toHaveBeenCalledTimes(1);
});

test("the handbook keeps its one page apart, not the address at which it was opened", async () => {
  worker("active");
  window.history.replaceState(null, "", "/p/pump/handbook?c=lever");
  render(<OfflinePage pages={["/handbook"]} scope="/handbook" load={async () => {}} kept="The handbook is kept." />);
  expect(await screen.findByText("The handbook is kept.")).toBeTruthy();
  expect(keys(keptHandbook)).toEqual(["/handbook"]);
});

test("a browser that cannot is told so, and that nothing waiting is lost while the page stands", async () => {
  worker("none");
  render(<OfflinePage pages={[]} load={async () => {}} />);
  expect(await screen.findByText(/This browser cannot open the page without a network/)).toBeTruthy();
});
