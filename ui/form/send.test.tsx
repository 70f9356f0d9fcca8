/** @jest-environment jsdom */
// Sending: one at a time, the same request until an answer came, a new one for what changed.
import { act, renderHook } from "@testing-library/react";
import { goTo } from "./go-to";
import type { ActionResult } from "./result";
import { useSend } from "./send";

const refresh = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ refresh }) }));

const good: ActionResult = { ok: true, value: 7 };
const requests = (action: jest.Mock) => action.mock.calls.map((c) => (c[1] as { requestId: string }).requestId);
const use = (action: jest.Mock, words?: string) => renderHook(() => useSend(action, words)).result;

beforeEach(() => jest.clearAllMocks());

test("a good answer is given and the page loads again; where it is asked to stay, it does not", async () => {
  const at = use(jest.fn(async () => good));
  let answer: unknown;
  await act(async () => void (answer = await at.current.send({ a: 1 })));
  expect(answer).toEqual(good);
  expect(refresh).toHaveBeenCalledTimes(1);
  await act(async () => void (await at.current.send({ a: 2 }, { stay: true })));
  expect(refresh).toHaveBeenCalledTimes(1);
});

test("while one is on its way another is not sent, and nothing is said of it", async () => {
  let answer: (a: ActionResult) => void = () => {};
  const action = jest.fn(() => new Promise<ActionResult>((r) => (answer = r)));
  const at = use(action);
  let second: unknown = "unset";
  await act(async () => {
    void at.current.send({ a: 1 });
    second = await at.current.send({ a: 1 });
  });
  expect([second, action.mock.calls.length, at.current.busy, at.current.note]).toEqual([null, 1, true, ""]);
  await act(async () => answer(good));
  expect([at.current.busy, at.current.note]).toEqual([false, ""]);
});

const unknown: ActionResult = { ok: false, kind: "unknown", message: "It is not known whether this was saved." };

test.each([
  ["no answer", () => Promise.reject(new Error("offline"))],
  ["an outcome that the server does not know", () => Promise.resolve(unknown)],
])("after %s it is the same request again", async (_, answer) => {
  const action = jest.fn(answer);
  const at = use(action);
  for (let i = 0; i < 3; i++) await act(async () => void (await at.current.send({ a: 1 })));
  expect(new Set(requests(action)).size).toBe(1);
  expect(at.current.note).not.toBe("");
});

test.each([
  ["saved", 1, /has been saved/, 1],
  ["not saved", 2, /^$/, 1],
  ["unknown", 1, /^Nothing was moved\.$/, 0],
])("what is changed after no answer waits until the first is known: %s", async (outcome, sent, said, refreshed) => {
  const ask = jest.fn(async () => ({ ok: true, json: async () => ({ outcome }) }));
  global.fetch = ask as never;
  const action = jest.fn().mockRejectedValueOnce(new Error("offline")).mockResolvedValue(good);
  const at = use(action, "Nothing was moved.");
  for (const a of [1, 2]) await act(async () => void (await at.current.send({ a })));
  expect((ask.mock.calls as unknown[][])[0]![0]).toContain(requests(action)[0]);
  expect([action.mock.calls.length, refresh.mock.calls.length]).toEqual([sent, refreshed]);
  expect(at.current.note).toMatch(said);
  expect(new Set(requests(action)).size).toBe(sent);
});

test("after an answer, good or bad, the same input is a new request", async () => {
  const bad: ActionResult = { ok: false, kind: "refused", message: "The gate is not signed." };
  const action = jest.fn().mockResolvedValueOnce(bad).mockResolvedValueOnce(good).mockResolvedValueOnce(good);
  const at = use(action);
  await act(async () => void (await at.current.send({ a: 1 })));
  expect([at.current.note, refresh.mock.calls.length]).toEqual(["The gate is not signed.", 0]);
  for (let i = 0; i < 2; i++) await act(async () => void (await at.current.send({ a: 1 })));
  expect(at.current.note).toBe("");
  expect(new Set(requests(action)).size).toBe(3);
});

test("who writes through a guest's link says so", async () => {
  const action = jest.fn(async () => good);
  const at = use(action);
  await act(async () => void (await at.current.send({}, { via: "guest" })));
  expect((action.mock.calls as unknown[][])[0]![1]).toMatchObject({ via: "guest" });
});

test("an address takes parts of the answer; a part that is not there is empty", () => {
  expect(goTo("/p/x/builds/:id", { id: 4 })).toBe("/p/x/builds/4");
  expect(goTo("/p/x/needs?r=:code", null)).toBe("/p/x/needs?r=");
});
