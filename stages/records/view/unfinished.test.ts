import type { Unfinished } from "../queries/unfinished";
import { openEnds } from "./unfinished";

const none: Unfinished = {
  actions: 0,
  reviews: 0,
  events: 0,
  failures: 0,
  appeals: 0,
  ungraded: 0,
  unpublished: false,
  questions: 0,
  kits: 0,
  incidents: 0,
  bookings: 0,
  rounds: 0,
  ungiven: false,
  lent: 0,
};

test("nothing is open where nothing is", () => expect(openEnds(none)).toEqual([]));

test("each open end in words, in the order of the stages, with where it is closed", () => {
  const all = Object.fromEntries(Object.keys(none).map((k) => [k, 2])) as unknown as Unfinished;
  const ends = openEnds({ ...all, unpublished: false });
  expect(ends).toHaveLength(13);
  expect(ends[0]).toEqual({ what: "2 questions to the client without an answer", path: "/needs/questions" });
  expect(ends.map((e) => e.path).slice(-3)).toEqual(["/shop", "/shop/stock", "/shop/safety"]);
  expect(openEnds({ ...none, actions: 1 })).toEqual([{ what: "one action of reviews still open", path: "/reviews" }]);
});

test("where no grade is published nobody is counted without one", () => {
  expect(openEnds({ ...none, unpublished: true, ungraded: 28 }).map((e) => e.what)).toEqual(["no grade is published"]);
  expect(openEnds({ ...none, ungraded: 1 }).map((e) => e.what)).toEqual(["one student without a published grade"]);
});
