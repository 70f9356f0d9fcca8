// What a box sends, and what it takes for no answer.
import { sendBoxed } from "./boxed";

const asked = jest.fn();
beforeEach(() => {
  asked.mockReset();
  global.fetch = asked as never;
});
const sent = () => sendBoxed("run")({ state: "foul" }, { requestId: "r", via: "guest" });

test("says what it is, under its id, and gives the server's own words", async () => {
  asked.mockResolvedValue(Response.json({ ok: false, kind: "refused", message: "There is a newer version." }));
  expect(await sent()).toEqual({ ok: false, kind: "refused", message: "There is a newer version." });
  const [to, { body, signal }] = asked.mock.calls[0];
  expect([to, JSON.parse(body)]).toEqual([
    "/api/box",
    { what: "run", input: { state: "foul" }, requestId: "r", via: "guest" },
  ]);
  expect(signal.aborted).toBe(false);
});

test("those of one page go one after the other, also behind one that failed", async () => {
  let fail = (_: Error) => {};
  asked.mockReturnValueOnce(new Promise((_, no) => (fail = no)));
  asked.mockResolvedValue(Response.json({ ok: true, value: 1 }));
  const both = [sent(), sent()];
  await Promise.resolve();
  await Promise.resolve();
  expect(asked).toHaveBeenCalledTimes(1);
  fail(new Error("offline"));
  await expect(both[0]).rejects.toThrow("offline");
  expect(await both[1]).toEqual({ ok: true, value: 1 });
});

test("what is too much for one request is refused in the server's words, and not sent again", async () => {
  asked.mockResolvedValue(new Response("At most 1 MB is taken here.", { status: 413 }));
  expect(await sent()).toEqual({ ok: false, kind: "refused", message: "At most 1 MB is taken here." });
});

test("a server that fails, and a request that is given up, are no answer", async () => {
  asked.mockResolvedValueOnce(new Response("", { status: 503 }));
  await expect(sent()).rejects.toThrow("The server answered 503.");
  const limit = jest.spyOn(AbortSignal, "timeout").mockReturnValue(AbortSignal.abort());
  asked.mockImplementationOnce(async (_: string, { signal }: RequestInit) => signal!.throwIfAborted());
  await expect(sent()).rejects.toThrow();
  expect(limit.mock.calls).toEqual([[10_000]]);
  limit.mockRestore();
});
