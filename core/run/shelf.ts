import { named } from "./shelf-named";
import type { Template } from "./template";

const best3 = { school: "best", n: 3, foul: "out" } as const;
const mean3 = { school: "mean", n: 3, foul: "out" } as const;
const gravity = { key: "g", name: "Gravity", unit: "m/s^2", value: "9.81" };
const eyes = "Eyes protected, and nobody in front of what moves, flies or may break.";
const ask = "Ask the instructor before the first run; the school's workshop rules come first.";
const water = "Water stays a metre away from power strips and chargers; wipe the floor before the next run.";

/**
 * Protocols to begin with, one a kind of test. Each passes `checkProtocol` and is meant to be changed: its targets and
 * tolerances are starting points.
 */
export const shelf: readonly Template[] = [
  {
    key: "speed",
    name: "Speed over a distance",
    fits: "a vehicle or boat on a straight track",
    example: { t: "4.20" },
    definition: {
      conditions: [{ key: "d", name: "Distance", unit: "m", target: "5.00", tolerance: "0.02", u: "0.005" }],
      measures: [{ key: "t", name: "Time", unit: "s", resolution: "0.01", u: "0.1", min: "0.5", max: "120" }],
      constants: [],
      derived: [
        { key: "v", name: "Mean speed", unit: "m/s", expression: "d / t", decimals: 2, rule: "Distance over time." },
      ],
      primary: "v",
      better: "more",
      policy: best3,
      safety: ["The track is clear of feet and bags; somebody stands at its end.", ask],
    },
  },
  {
    key: "target",
    name: "Stop at a distance",
    fits: "a vehicle that has to stop at a mark",
    example: { d: "4.86" },
    definition: {
      conditions: [{ key: "D", name: "Mark at", unit: "m", target: "5.00", tolerance: "0.01" }],
      measures: [{ key: "d", name: "Stopped at", unit: "m", resolution: "0.01", min: "0", max: "20" }],
      constants: [],
      derived: [
        {
          key: "off",
          name: "Off the mark",
          unit: "m",
          expression: "abs(d - D)",
          decimals: 2,
          rule: "How far from the mark, before or behind it.",
        },
      ],
      primary: "off",
      better: "less",
      policy: best3,
      safety: ["The track is clear of feet and bags; somebody stands behind the mark.", ask],
    },
  },
  {
    key: "load",
    name: "Load to failure over mass",
    fits: "a bridge, tower, beam or bracket that is loaded until it gives",
    example: { load: "34.5", m: "86" },
    definition: {
      conditions: [{ key: "span", name: "Span", unit: "mm", target: "400", tolerance: "2" }],
      measures: [
        { key: "load", name: "Load carried", unit: "kg", resolution: "0.5", min: "0", max: "500" },
        { key: "m", name: "Own mass", unit: "g", resolution: "1", min: "1", max: "20000" },
      ],
      constants: [],
      derived: [
        {
          key: "ratio",
          name: "Load over mass",
          unit: "1",
          expression: "load / m",
          decimals: 0,
          rule: "The load carried before it gave, over its own mass.",
        },
      ],
      primary: "ratio",
      better: "more",
      policy: { school: "first", n: 1, foul: "out" },
      safety: [
        "Eyes protected for everybody in the room: it breaks without a warning, and splinters fly.",
        "Hands and feet never under the load; a box or sand below catches it.",
        ask,
      ],
    },
  },
  {
    key: "flow",
    name: "Lift water",
    fits: "a pump that lifts water for a set time",
    example: { m: "8.20", F: "34.0", s: "0.250" },
    definition: {
      conditions: [
        { key: "h", name: "Lift", unit: "m", target: "1.50", tolerance: "0.01", u: "0.005" },
        { key: "n", name: "Rate", unit: "strokes/min", target: "60", tolerance: "3" },
      ],
      measures: [
        { key: "m", name: "Collected", unit: "kg", resolution: "0.05", min: "0.2", max: "30" },
        { key: "F", name: "Handle force", unit: "N", resolution: "0.5", u: "0.5", min: "5", max: "200" },
        { key: "s", name: "Stroke", unit: "m", resolution: "0.001", u: "0.002", min: "0.05", max: "1" },
      ],
      constants: [
        { key: "rho", name: "Density of water", unit: "kg/m^3", value: "998" },
        { key: "t", name: "Time", unit: "s", value: "60" },
        gravity,
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
      policy: best3,
      safety: [water, "Fingers clear of pivots and pistons.", ask],
    },
  },
  {
    key: "drop",
    name: "Highest drop survived",
    fits: "a package that protects what is in it",
    example: { h: "3.5", m: "148" },
    definition: {
      conditions: [],
      measures: [
        { key: "h", name: "Highest drop survived", unit: "m", resolution: "0.5", min: "0", max: "20" },
        { key: "m", name: "Mass with its load", unit: "g", resolution: "1", min: "1", max: "5000" },
      ],
      constants: [gravity],
      derived: [
        {
          key: "v",
          name: "Speed at the ground",
          unit: "m/s",
          expression: "sqrt(2 * g * h)",
          decimals: 1,
          rule: "Of a free fall from that height, without air.",
        },
        {
          key: "E",
          name: "Energy taken up",
          unit: "J",
          expression: "m * g * h",
          decimals: 2,
          rule: "Weight times height.",
        },
      ],
      primary: "h",
      better: "more",
      policy: { school: "best", n: 1, foul: "out" },
      safety: [
        "The landing place is roped off and watched; nobody steps in before the dropper calls.",
        "Only an adult or a trained person on a ladder or roof, by the school's rules.",
      ],
    },
  },
  {
    key: "flight",
    name: "Time in the air and landing",
    fits: "a glider, rocket, parachute or spinner",
    example: { t: "6.4", d: "3.2" },
    definition: {
      conditions: [{ key: "wind", name: "Wind", unit: "m/s", target: "0", tolerance: "3" }],
      measures: [
        { key: "t", name: "Time in the air", unit: "s", resolution: "0.1", u: "0.15", min: "0.2", max: "180" },
        { key: "d", name: "Landed from the mark", unit: "m", resolution: "0.1", min: "0", max: "300" },
      ],
      constants: [],
      derived: [],
      primary: "t",
      better: "more",
      policy: best3,
      safety: [
        "Launch only outdoors in a cleared field, with a countdown and everybody behind the line, eyes protected.",
        "Motors, pressure and fuel only by the rules of the school and the place, with a trained adult.",
        "One that did not fire is left alone for as long as those rules say.",
      ],
    },
  },
  {
    key: "generator",
    name: "Electrical output of a small generator",
    fits: "wind, water or a falling weight turned into electricity",
    example: { U: "3.20", I: "145", t: "6.5" },
    definition: {
      conditions: [
        { key: "M", name: "Falling mass", unit: "kg", target: "2.00", tolerance: "0.01" },
        { key: "h", name: "Height of fall", unit: "m", target: "1.00", tolerance: "0.01" },
      ],
      measures: [
        { key: "U", name: "Voltage", unit: "V", resolution: "0.01", min: "0", max: "24" },
        { key: "I", name: "Current", unit: "mA", resolution: "1", min: "0", max: "5000" },
        { key: "t", name: "Time of fall", unit: "s", resolution: "0.1", u: "0.1", min: "0.3", max: "60" },
      ],
      constants: [gravity],
      derived: [
        { key: "P", name: "Power", unit: "W", expression: "U * I", decimals: 3, rule: "Voltage times current." },
        {
          key: "eta",
          name: "Efficiency",
          unit: "%",
          expression: "U * I * t / (M * g * h)",
          decimals: 1,
          rule: "Electrical energy over the work of the falling weight.",
          bound: "100",
        },
      ],
      primary: "eta",
      better: "more",
      policy: mean3,
      safety: [
        "Nothing of it is ever joined to the mains; the current stays below the limit of the wire and the load.",
        "Hair, sleeves and fingers away from what turns; the weight falls into a box.",
        ask,
      ],
    },
  },
  {
    key: "heat",
    name: "Heat held over time",
    fits: "a box or cup that keeps warm or cold",
    example: { T0: "4.0", T1: "7.0" },
    definition: {
      conditions: [{ key: "Ta", name: "Outside", unit: "°C", target: "30", tolerance: "1", u: "0.3" }],
      measures: [
        { key: "T0", name: "Inside at the start", unit: "°C", resolution: "0.1", min: "-20", max: "95" },
        { key: "T1", name: "Inside after an hour", unit: "°C", resolution: "0.1", min: "-20", max: "95" },
      ],
      constants: [{ key: "t", name: "Time", unit: "h", value: "1" }],
      derived: [
        {
          key: "tau",
          name: "Time constant",
          unit: "h",
          expression: "t / log((Ta - T0) / (Ta - T1))",
          decimals: 2,
          rule: "How slowly the difference to the outside fades: after this time 37 % of it is left.",
        },
      ],
      primary: "tau",
      better: "more",
      policy: mean3,
      safety: ["Hot water below 60 °C, poured by who was shown how; lids vent.", ask],
    },
  },
  {
    key: "pull",
    name: "Push or pull over weight",
    fits: "a robot, winch or tractor that pulls a gauge",
    example: { F: "12.5", m: "1.42" },
    definition: {
      conditions: [],
      measures: [
        { key: "F", name: "Highest force", unit: "N", resolution: "0.5", u: "0.5", min: "0", max: "500" },
        { key: "m", name: "Own mass", unit: "kg", resolution: "0.01", min: "0.05", max: "50" },
      ],
      constants: [gravity],
      derived: [
        {
          key: "k",
          name: "Force over weight",
          unit: "1",
          expression: "F / (m * g)",
          decimals: 2,
          rule: "The highest force over its own weight.",
        },
      ],
      primary: "k",
      better: "more",
      policy: best3,
      safety: ["Fingers away from wheels and from the line under tension: it whips back when it lets go.", eyes, ask],
    },
  },
  {
    key: "steps",
    name: "Steps that trigger one another",
    fits: "a machine of steps, a mission in phases",
    example: { passed: "4", t: "31.5" },
    definition: {
      conditions: [],
      measures: [
        {
          key: "passed",
          name: "Steps passed without help",
          kind: "count",
          unit: "1",
          resolution: "1",
          min: "0",
          max: "5",
        },
        { key: "t", name: "Time to the last of them", unit: "s", resolution: "0.5", min: "0", max: "600" },
      ],
      constants: [],
      derived: [],
      primary: "passed",
      better: "more",
      policy: { school: "best", n: 3, foul: "out" },
      steps: ["Ball released", "Lever tips", "Weight falls", "Wheel turns", "Flag rises"],
      safety: ["Hands stay out once it has started.", ask],
    },
  },
  {
    key: "leak",
    name: "Leak in a minute",
    fits: "a tank, pipe or hull that has to keep water in or out",
    example: { leak: "2.5" },
    definition: {
      conditions: [{ key: "h", name: "Water above the seal", unit: "mm", target: "300", tolerance: "10" }],
      measures: [{ key: "leak", name: "Leak in 60 s", unit: "mL", resolution: "0.5", min: "0", max: "500" }],
      constants: [],
      derived: [],
      primary: "leak",
      better: "less",
      policy: { school: "mean", n: 2, foul: "out" },
      safety: [water],
    },
  },
  {
    key: "battery",
    name: "Run time on one charge",
    fits: "an electric vehicle, lamp or robot",
    example: { t: "42.5", U: "7.2", I: "640" },
    definition: {
      conditions: [{ key: "full", name: "Voltage at the start", unit: "V", target: "8.4", tolerance: "0.1" }],
      measures: [
        { key: "t", name: "Run time", unit: "min", resolution: "0.5", min: "0.5", max: "600" },
        { key: "U", name: "Mean voltage", unit: "V", resolution: "0.1", min: "0", max: "60" },
        { key: "I", name: "Mean current", unit: "mA", resolution: "10", min: "0", max: "20000" },
      ],
      constants: [],
      derived: [
        {
          key: "E",
          name: "Energy used",
          unit: "Wh",
          expression: "U * I * t",
          decimals: 2,
          rule: "Voltage times current times time.",
        },
      ],
      primary: "t",
      better: "more",
      policy: { school: "mean", n: 2, foul: "out" },
      safety: [
        "Charge only with the charger that belongs to the battery, watched, on a surface that does not burn.",
        "A battery that is swollen, hot or dented goes to the instructor at once.",
      ],
    },
  },
  {
    key: "fit",
    name: "Deviation of a part",
    fits: "parts made by many hands that have to line up",
    example: { a: "119.6", b: "80.3" },
    definition: {
      conditions: [
        { key: "A", name: "Length on the drawing", unit: "mm", target: "120.0", tolerance: "0" },
        { key: "B", name: "Width on the drawing", unit: "mm", target: "80.0", tolerance: "0" },
      ],
      measures: [
        { key: "a", name: "Length measured", unit: "mm", resolution: "0.1", min: "1", max: "2000" },
        { key: "b", name: "Width measured", unit: "mm", resolution: "0.1", min: "1", max: "2000" },
      ],
      constants: [],
      derived: [
        {
          key: "dev",
          name: "Largest deviation",
          unit: "mm",
          expression: "max(abs(a - A), abs(b - B))",
          decimals: 1,
          rule: "The larger of the two deviations from the drawing.",
        },
      ],
      primary: "dev",
      better: "less",
      policy: { school: "first", n: 1, foul: "out" },
      safety: ["Edges that were just cut are sharp: break them before you measure."],
    },
  },
  ...named,
];
