// A packet for a review, made from the record of the build that is reviewed and what led to it.
import { unitsOf } from "@/core/quantity/systems";
import { definition } from "@/stages/testing/definition";
import { aBuild, aProtocol, aRequirement, aReview, aState, aTeam } from "@/stages/testing/rows";
import { type PacketFacts, packetItems, packetView, pickedPacket, shownParts } from "./packet";

const builds = [
  aBuild("Alder", 1, { mass: "5.4", builtOn: "2027-02-01" }),
  aBuild("Alder", 2, { mass: "4.8", whatChanged: "a lighter frame", why: "over the limit" }),
  aBuild("Alder", 3, { mass: "4.7", whatChanged: "a ball valve" }),
  aBuild("Alder", 4, { mass: "4.6" }),
  aBuild("Birch", 1),
];
const mass = aRequirement("R-01", { measure: "mass", comparator: "≤", target: "5", unit: "kg" } as never);
const flow = aRequirement("R-02", {
  measure: "run:lift:Q",
  comparator: "≥",
  target: "0.00012",
  unit: "L/min",
} as never);
const dry = aRequirement("R-03");
const colour = aRequirement("R-04", { priority: "could" } as never);
const state = aState(
  {
    requirements: [mass, flow, dry, colour],
    teams: [aTeam("Alder"), aTeam("Birch")],
    builds,
    protocols: [aProtocol(definition)],
  },
  { "R-01 Alder G3": "met", "R-02 Alder G3": "marginal", "R-03 Alder G3": "not met" },
  { "Alder G3": 8.25 },
);
const failure = (id: string, buildId: string, build: number, more: object = {}) =>
  ({
    id,
    buildId,
    build,
    mode: "seal leaks",
    place: "upper end",
    cause: "soft",
    nextStep: "a harder one",
    answeredBy: null,
    ...more,
  }) as never;
const first = aReview("Alder", { id: "first", heldOn: "2027-02-10", build: 2, verdict: "go on with fixes" } as never);
const now = aReview("Alder", {
  id: "now",
  title: "Test review",
  heldOn: "2027-03-01",
  buildId: "Alder G3",
  build: 3,
  actions: [{ id: "a", what: "Brace the frame", dueOn: "2027-03-08", closedAt: null, closingEvidence: null }],
} as never);
const facts: PacketFacts = {
  state,
  reviews: [now, first, aReview("Birch", { heldOn: "2027-02-20" } as never)],
  failures: [
    failure("f1", "Alder G2", 2),
    failure("f2", "Alder G4", 4),
    failure("f3", "Birch G1", 1),
    failure("f4", "Alder G1", 1, { answeredBy: 2 }),
  ],
  wishes: [
    {
      statement: "Stays dry",
      requirementId: "R-03",
      words: [{ text: "My shoes were wet.", source: "Interview" }],
    } as never,
    { statement: "Gone", requirementId: "R-99", words: [] } as never,
  ],
  proposal: null,
  benchmark: { team: "Rill", build: 3, edition: "Pump, last year", value: 8.9 },
  units: unitsOf("metric"),
  currency: "Kr",
};
const packet = packetView(now, builds[2]!, facts);

test("musts with their limits, this build's margin or value, and verdicts", () => {
  expect(packet.asked.map((r) => [r.code, r.verdict, r.shown])).toEqual([
    ["R-01", "met", "0.30 kg to spare"],
    ["R-02", "marginal", expect.stringContaining("L/min")],
    ["R-03", "not met", ""],
  ]);
});

test("what changed is told since the team's review before, up to the build that is reviewed", () => {
  expect(packet.before).toEqual({ title: "First review", heldOn: "2027-02-10", build: 2, verdict: "go on with fixes" });
  expect(packet.changed.map((c) => [c.name, c.what])).toEqual([["G3", "a ball valve"]]);
  const earlier = packetView(first, builds[1]!, facts);
  expect([earlier.before, earlier.changed.map((c) => c.name)]).toEqual([null, ["G1", "G2"]]);
  expect(packet.figures.lines.map((l) => l.build.number)).toEqual([1, 2, 3]);
});

test("evidence is what was measured on this build; wishes stand in the client's words with how they are met", () => {
  expect(packet.evidence.map((e) => [e.code, e.protocol, e.verdict])).toEqual([["R-02", "Timed lift", "marginal"]]);
  expect(packet.wishes).toEqual([
    expect.objectContaining({
      code: "R-03",
      verdict: "not met",
      words: [{ text: "My shoes were wet.", source: "Interview" }],
    }),
  ]);
});

test("figures stand against the best of the class and of the edition before", () => {
  expect(packet.benchmarks).toEqual([
    "8.25 L/min, best of the class: Alder G3",
    "8.90 L/min, best of Pump, last year: Rill G3",
  ]);
});

test("failures of the team up to this build; what is open of musts and failures is at risk", () => {
  expect(packet.failures.map((f) => [f.build, f.answered])).toEqual([
    ["G2", null],
    ["G1", "G2"],
  ]);
  expect(packet.risks).toEqual([
    "R-02, R-02 holds: is too near its limit to tell",
    "R-03, R-03 holds: is not met",
    "seal leaks of G2 is not answered by a build yet",
  ]);
  expect(packet.actions).toEqual([
    expect.objectContaining({ what: "Brace the frame", from: "Test review", closed: null }),
  ]);
});

test("a team's order is kept; what it never had is passed over; without a choice all is shown", () => {
  expect(shownParts(["actions", "nonsense", "asked"])).toEqual(["actions", "asked"]);
  expect(shownParts([])).toHaveLength(9);
});

test("a team leaves out of a part what it wants, and how much that is stays told; musts and risks stay whole", () => {
  const items = packetItems(packet);
  expect(Object.keys(items)).toEqual(["changed", "evidence", "wishes", "failures"]);
  const first = items.failures![0]!;
  const { picked, left } = pickedPacket(packet, [first.key, "failures of another", "asked R-01", "evidence R-02"]);
  expect(picked.failures.map((f) => `failures ${f.id}`)).toEqual(items.failures!.slice(1).map((x) => x.key));
  expect(picked.evidence).toEqual(packet.evidence.filter((e) => e.code !== "R-02"));
  expect([picked.asked, picked.risks]).toEqual([packet.asked, packet.risks]);
  expect([left.failures, left.evidence, left.asked]).toEqual([1, 1, 0]);
  expect(pickedPacket(packet, []).picked).toEqual(packet);
});
