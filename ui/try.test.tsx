/** @jest-environment jsdom */
// What a change would do, tried a moment after the last key.
import { act, renderHook } from "@testing-library/react";
import { useTry } from "./try";

const asked: string[] = [];
let answer: (body: object) => void;
beforeEach(() => {
  jest.useFakeTimers();
  asked.length = 0;
  global.fetch = jest.fn((_url: string, init: RequestInit) => {
    asked.push(String(init.body));
    return new Promise<Response>((done, fail) => {
      answer = (body) => done({ ok: true, json: async () => body } as Response);
      init.signal?.addEventListener("abort", () => fail(new Error("aborted")));
    });
  }) as never;
});
afterEach(() => jest.useRealTimers());

const typing = () =>
  renderHook(({ text }) => useTry<string>("scheme", "pump", { text }), { initialProps: { text: "a" } });
const wait = () => act(async () => void jest.advanceTimersByTime(600));
const comes = (body: object) => act(async () => answer(body));

test("keys that follow each other are tried once; the last answer stays until the next", async () => {
  const { result, rerender } = typing();
  rerender({ text: "ab" });
  rerender({ text: "abc" });
  await wait();
  expect([asked, result.current]).toEqual([['{"text":"abc"}'], { tried: null, busy: true }]);
  await comes({ answer: "three" });
  expect(result.current).toEqual({ tried: { answer: "three" }, busy: false });
  rerender({ text: "abcd" });
  expect(result.current).toEqual({ tried: { answer: "three" }, busy: true });
});

test("typed back to what was tried, nothing is on its way any more", async () => {
  const { result, rerender } = typing();
  await wait();
  await comes({ answer: "one" });
  rerender({ text: "ab" });
  await wait();
  rerender({ text: "a" });
  expect(result.current).toEqual({ tried: { answer: "one" }, busy: false });
  expect(asked).toHaveLength(2);
});

test("what is wrong is said; a server that does not answer too", async () => {
  const { result, rerender } = typing();
  await wait();
  await comes({ wrong: "The weights make 90, not 100." });
  expect(result.current.tried).toEqual({ wrong: "The weights make 90, not 100." });
  global.fetch = jest.fn().mockRejectedValue(new Error("network")) as never;
  rerender({ text: "b" });
  await wait();
  expect(result.current.tried).toEqual({ wrong: expect.stringContaining("does not answer") });
});
