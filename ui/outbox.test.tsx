/** @jest-environment jsdom */
// What waits in the browser: kept through a reload, sent once under its own id, shown until the server has it.
import { act, renderHook, waitFor } from "@testing-library/react";
import { useDraft, useOutbox } from "./outbox";
import { emptyBoxes, kept } from "./testing/waiting";

const refresh = jest.fn();
const router = { refresh };
jest.mock("next/navigation", () => ({ useRouter: () => router }));

interface Note {
  id: string;
  text: string;
}
const none: string[] = [];
const box = (send: jest.Mock, known: string[] = none) => renderHook(() => useOutbox<Note>("notes", send, {}, known));
const stored = () => kept("notes");

beforeEach(async () => {
  await emptyBoxes();
  localStorage.clear();
  jest.clearAllMocks();
});

test("a note is sent at once, under the id that it was made with, and leaves the storage", async () => {
  const send = jest.fn(async () => ({ ok: true }));
  const { result } = box(send);
  act(() => result.current.add({ id: "n1", text: "sixty litres" }));
  await waitFor(() => expect(refresh).toHaveBeenCalledTimes(1));
  expect(send.mock.calls).toEqual([[{ id: "n1", text: "sixty litres" }, { requestId: "n1" }]]);
  await waitFor(async () => expect(await stored()).toEqual([]));
});

test("without a network it waits, survives a reload, and is sent when the network is back", async () => {
  const send = jest.fn().mockRejectedValueOnce(new Error("offline")).mockResolvedValue({ ok: true });
  const first = box(send);
  act(() => first.result.current.add({ id: "n1", text: "sixty litres" }));
  await waitFor(() => expect(first.result.current.offline).toBe(true));
  expect((await stored()).map((x) => x.id)).toEqual(["n1"]);
  first.unmount();
  const second = box(send);
  await waitFor(async () => expect(await stored()).toEqual([]));
  expect(second.result.current.offline).toBe(false);
  expect(send.mock.calls.map((c) => c[1])).toEqual([{ requestId: "n1" }, { requestId: "n1" }]);
});

test("what the server would not take stays with its reason and is not sent again by itself", async () => {
  const send = jest.fn(async () => ({ ok: false, message: "The interview is closed." }));
  const { result } = box(send);
  act(() => result.current.add({ id: "n1", text: "late" }));
  await waitFor(() => expect(result.current.waiting[0]?.problem).toBe("The interview is closed."));
  act(() => void window.dispatchEvent(new Event("online")));
  expect(send).toHaveBeenCalledTimes(1);
  act(() => result.current.retry("n1"));
  await waitFor(() => expect(send).toHaveBeenCalledTimes(2));
  act(() => result.current.drop("n1"));
  expect([result.current.waiting, await stored()]).toEqual([[], []]);
});

test("what was refused is sent again as another request, what nobody knows of as the same", async () => {
  const send = jest
    .fn()
    .mockResolvedValueOnce({ ok: false, kind: "unknown", message: "?" })
    .mockResolvedValueOnce({ ok: false, kind: "failed", message: "The database went away: nothing was saved." })
    .mockResolvedValue({ ok: true });
  const first = box(send);
  act(() => first.result.current.add({ id: "n1", text: "sixty litres" }));
  await waitFor(() => expect(first.result.current.offline).toBe(true));
  act(() => void window.dispatchEvent(new Event("online")));
  await waitFor(() => expect(first.result.current.waiting[0]?.problem).toContain("nothing was saved"));
  // Its request is over for good: the server would refuse it under the same name. A reload changes nothing in that.
  first.unmount();
  box(send);
  await waitFor(async () => expect(await stored()).toEqual([]));
  const [one, two, three] = send.mock.calls.map((c) => (c[1] as { requestId: string }).requestId);
  expect([one, two]).toEqual(["n1", "n1"]);
  expect(three).toMatch(/^[0-9a-f-]{36}$/);
});

test("two pages of one browser keep side by side what waits in each", async () => {
  const off = jest.fn().mockRejectedValue(new Error("offline"));
  const [one, two] = [box(off), box(off)];
  act(() => one.result.current.add({ id: "n1", text: "one" }));
  act(() => two.result.current.add({ id: "n2", text: "two" }));
  await waitFor(async () => expect((await stored()).map((x) => x.id)).toEqual(["n1", "n2"]));
  one.unmount();
  two.unmount();
  const on = jest.fn(async () => ({ ok: true }));
  box(on);
  await waitFor(async () => expect(await stored()).toEqual([]));
  expect(on.mock.calls.map((c) => (c as unknown as [Note])[0].text)).toEqual(["one", "two"]);
});

test("notes go in the order in which they were written", async () => {
  const send = jest.fn(async () => ({ ok: true }));
  const { result } = box(send);
  act(() => {
    result.current.add({ id: "n1", text: "one" });
    result.current.add({ id: "n2", text: "two" });
  });
  await waitFor(() => expect(send).toHaveBeenCalledTimes(2));
  expect(send.mock.calls.map((c) => (c as unknown as [Note])[0].id)).toEqual(["n1", "n2"]);
});

test("what the page shows from the server already is not shown as waiting", async () => {
  const { result } = box(
    jest.fn(async () => ({ ok: true })),
    ["n1"],
  );
  act(() => result.current.add({ id: "n1", text: "one" }));
  await waitFor(() => expect(refresh).toHaveBeenCalled());
  expect(result.current.waiting).toEqual([]);
});

test("a text being typed is there after a reload until it is sent", () => {
  const first = renderHook(() => useDraft("entry"));
  act(() => first.result.current[1]("half a sentence"));
  first.unmount();
  const second = renderHook(() => useDraft("entry"));
  expect(second.result.current[0]).toBe("half a sentence");
  act(() => second.result.current[1](""));
  expect(localStorage.getItem("ironstone.draft.entry")).toBeNull();
});
