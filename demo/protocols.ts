export const liftTest = (number: 1 | 2) => ({
  conditions: [
    { key: "h", name: "Lift", unit: "m", target: "1.60", tolerance: number === 1 ? "0.05" : "0.01", u: "0.005" },
    { key: "n", name: "Rate", unit: "strokes/min", target: "60", tolerance: "3" },
    { key: "Tw", name: "Water", unit: "°C", target: "20", tolerance: "5" },
  ],
  measures: [
    { key: "m", name: "Collected", unit: "kg", resolution: "0.05", min: "0.5", max: "15" },
    {
      key: "F",
      name: "Force",
      unit: "N",
      resolution: "0.5",
      u: "0.5",
      min: "8",
      max: "120",
      // Since the second version a gauge on the handle gives it.
      ...(number === 2 && { take: { rule: "mean", unit: "N", channel: "force", stretch: "30" } }),
    },
    { key: "s", name: "Stroke", unit: "m", resolution: "0.001", u: "0.002", min: "0.1", max: "0.5" },
  ],
  constants: [
    { key: "rho", name: "Density of water", unit: "kg/m^3", value: "998" },
    { key: "g", name: "Gravity", unit: "m/s^2", value: "9.81" },
    { key: "t", name: "Time", unit: "s", value: "60" },
  ],
  derived: [
    {
      key: "Q",
      name: "Flow",
      unit: "L/min",
      expression: "m / (rho * t)",
      decimals: 2,
      rule: "Collected water over the time it took.",
    },
    {
      key: "eta",
      name: "Efficiency",
      unit: "%",
      expression: "m * g * h / (F * s * n * t)",
      decimals: 1,
      rule: "Work done on the water over work put in at the handle.",
      bound: "100",
    },
  ],
  primary: "Q",
  better: "more",
  policy: { school: "best", n: 3, foul: "out" },
  safety: [
    "Water stays a metre away from power strips and chargers; wipe the floor before the next team.",
    "Fingers clear of the lever's pivot. Ask the instructor before the first run of a new build.",
  ],
});

export const leakTest = {
  conditions: [],
  measures: [{ key: "leak", name: "Leak in 60 s", unit: "mL", resolution: "0.5", min: "0", max: "200" }],
  constants: [],
  derived: [],
  primary: "leak",
  better: "less",
  policy: { school: "mean", n: 2, foul: "out" },
  safety: [],
};

export const timedLift = (projectId: string, protocolId: string, seed: string) => ({
  projectId,
  name: "Timed lift",
  protocolId,
  channel: "Q",
  better: "more",
  school: "best",
  n: 3,
  foul: "out",
  ranking: "competition",
  ties: "resolution",
  resolution: "0.1",
  tieBreaks: ["second", "lighter"],
  points: {
    kind: "line",
    anchors: [
      ["4", "0"],
      ["6", "60"],
      ["8", "85"],
      ["9", "100"],
    ].map(([at0, points]) => ({ at: at0, points })),
  },
  seed,
  cautions:
    "Spectators stand behind the line.\nWater is away from power; the floor is dry where people walk.\n" +
    "Only the operator is at the handle; fingers are off the valves.",
  officer: "Mara Okonedo",
});
