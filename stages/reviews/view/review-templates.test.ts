// What a kind of review begins with fits what there is: its rubric is on the shelf, its packet's parts are parts.
import { packetPart, reviewKind } from "@/core/vocabulary/reviews";
import { reviewTemplates } from "./review-templates";
import { rubricShelf } from "./rubric-shelf";

test.each(reviewKind.values.map((kind) => [kind, reviewTemplates[kind]] as const))("%s", (_, t) => {
  expect(rubricShelf.map((r) => r.name)).toContain(t.rubric);
  expect(t.packet.filter((p) => !packetPart.values.includes(p))).toEqual([]);
  expect(new Set(t.packet).size).toBe(t.packet.length);
  expect(t.minutes).toBeGreaterThanOrEqual(5);
  expect(t.takesPart).not.toBe("");
});

test("no two kinds begin under one name", () => {
  expect(new Set(Object.values(reviewTemplates).map((t) => t.title)).size).toBe(reviewKind.values.length);
});
