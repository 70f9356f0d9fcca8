// What is taken in is decided from a request's head, before anything is read.
import { limitOf, refusal } from "./door.mjs";

const ask = (url: string, bytes: number | string, cookie = "", more: Record<string, string> = {}) => ({
  url,
  headers: { "content-length": String(bytes), cookie, ...more },
});
const session = "other=1; ironstone_session=abc";

test.each([
  ["/sign-in", 64_000, "", null],
  ["/sign-in", 64_001, "", 413],
  ["/g/secret", 60_000_000, "", 413],
  ["/import", 64_000_000, "", 413],
  ["/import", 64_000_000, session, null],
  ["/school", 64_000_001, session, 413],
  ["/p/pump/builds", 36_000_000, session, null],
  ["/p/pump/builds", 36_000_001, session, 413],
  ["/p/pump/builds", 2_000_000, "ironstone_guest=x", 413],
  ["/guest", 900_000, "ironstone_guest=x", null],
  ["/account", 1_000_001, session, 413],
  ["/sign-in", -1, "", 400],
  ["/sign-in", "many", "", 400],
])("%s with %s bytes, cookie “%s”: %s", (url, bytes, cookie, status) =>
  expect(refusal(ask(url, bytes, cookie), 0)?.status ?? null).toBe(status),
);

test("a request of unknown length is not taken; one without a body is", () => {
  expect(refusal(ask("/p/pump", 0, session, { "transfer-encoding": "chunked" }), 0)?.status).toBe(411);
  expect(refusal({ url: "/", headers: {} }, 0)).toBeNull();
});

test("few large ones at a time; small ones always", () => {
  expect(limitOf(ask("/import", 3_000_000, session)).large).toBe(true);
  expect(refusal(ask("/import", 3_000_000, session), 3)).toBeNull();
  expect(refusal(ask("/import", 3_000_000, session), 4)?.status).toBe(503);
  expect(refusal(ask("/p/pump", 1000, session), 4)).toBeNull();
});
