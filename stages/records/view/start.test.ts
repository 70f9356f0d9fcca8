import { featureLines } from "@/core/records/features";
import type { ToldFault } from "../queries/cures";
import { startFaults, startFeatures } from "./start";

const lines = featureLines([
  { id: "a", features: ["ball valve"], parents: [], value: 9, faults: [] },
  { id: "b", features: ["Leather cup"], parents: [], value: 6, faults: [] },
]);

describe("features to start from", () => {
  test("the address turns each of them alone", () => {
    const [ball, cup] = startFeatures(["ball valve", "leather cup"], "1", lines, "more");
    expect([ball!.left, ball!.turned]).toEqual([false, "0,1"]);
    expect([cup!.left, cup!.turned]).toEqual([true, ""]);
  });

  test("worse is said by the direction of the measure, and only where both sides were measured", () => {
    const of = (better: "more" | "less") =>
      startFeatures(["ball valve", "leather cup", "new"], undefined, lines, better).map((f) => f.worse);
    expect(of("more")).toEqual([false, true, false]);
    expect(of("less")).toEqual([true, false, false]);
  });
});

test("the faults of a build come with what cured the same cause elsewhere, and not with what came back", () => {
  const fault = (over: Partial<ToldFault>) =>
    ({
      id: "a",
      mode: "jams",
      cause: "friction",
      team: "Adze",
      edition: "last year",
      build: 3,
      teamId: "adze",
      answeredBy: null,
      ranSince: false,
      ...over,
    }) as ToldFault;
  const found = startFaults(
    [
      fault({}),
      fault({
        id: "b",
        team: "Bevel",
        teamId: "bevel" as ToldFault["teamId"],
        build: 1,
        answeredBy: 2,
        ranSince: true,
      }),
      fault({ id: "later", build: 4, cause: "slip" }),
      fault({
        id: "c",
        team: "Chisel",
        teamId: "chisel" as ToldFault["teamId"],
        build: 1,
        answeredBy: 2,
        ranSince: false,
      }),
    ],
    { teamId: "adze", number: 3 },
  );
  expect(found.map((f) => [f.fault.id, f.held, f.elsewhere.map((e) => e.fault.team)])).toEqual([
    ["a", "open", ["Bevel"]],
  ]);
});
