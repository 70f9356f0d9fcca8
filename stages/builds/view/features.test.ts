import type { buildsBefore } from "../queries/builds";
import { featuresView, startFrom } from "./features";

type Before = Awaited<ReturnType<typeof buildsBefore>>[number];
const before = {
  id: "b",
  name: "Delta G6",
  edition: "last year",
  features: ["ball valve", "leather cup"],
  variables: { stroke: "0.25 m" },
} as unknown as Before;

test("a build that starts from an earlier one keeps what is not left out, and asks why the rest is", () => {
  expect(startFrom(before, ["1"])).toEqual({
    fromEdition: "b",
    features: "ball valve",
    variables: "stroke = 0.25 m",
    whatChanged: "Starts from Delta G6, last year, without leather cup",
    dropped: "leather cup: ",
  });
  expect(startFrom(before, [])).toMatchObject({ features: "ball valve, leather cup", dropped: "" });
  expect(startFrom(before, ["7", "x"]).features).toBe("ball valve, leather cup");
});

test("features against those that it was made from", () => {
  const view = featuresView({ features: ["lever", "flap"], dropped: { cup: "leaks" } }, [
    { features: ["flap", "rod"] },
  ]);
  expect(view).toEqual({
    kept: ["flap"],
    added: ["lever"],
    dropped: [
      { feature: "rod", reason: "" },
      { feature: "cup", reason: "leaks" },
    ],
  });
});
