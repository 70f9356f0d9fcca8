import {
  atMost,
  attempts,
  brief,
  buildGate,
  costs,
  drill,
  fitsIn,
  glueGun,
  type Kind,
  knife,
  late,
  line,
  must,
  part,
  performance,
  rubrics,
  should,
  solder,
  under,
  usualParts,
} from "./kind";

const mass = "It weighs at most 900 g without water";
const size = "It fits into 350 × 250 × 250 mm";
const cost = "Its parts cost at most 25.00";
const stores = "2 L of water from 1 m store at least 1.5 J";
const volts = "It never gives more than 6 V";

/** A device that turns falling water into electricity, at a voltage that hurts nobody. */
export const energy: Kind = {
  name: "A device that makes electricity",
  about: "Falling water charges a capacitor; efficiency is measured against what the water had to give.",
  sessions: 26,
  project: {
    title: "Gutter Light",
    purpose: "The rain of a bus shelter's roof charges the small lamp that shows its timetable at night",
    kind: "both",
    client: "A village's bus shelter (made up)",
    currency: "cr",
  },
  brief: brief(
    "A bus shelter stands where no cable runs. Its gutter fills a barrel at each rain. The village asks " +
      "for a device " +
      "that charges the timetable's lamp from 2 litres of that water, falling 1 metre.",
    [mass, size, cost, stores, volts, "Only the water drives it; no battery", "No drop of water reaches a wire"],
    "Each device has three times 2 litres. The energy that is stored counts, and the lamp is lit in the dark.",
    [
      "At most 6 V, measured before anybody touches a wire; no mains power in the room's wet half.",
      "Water stays a metre away from power strips and chargers; the floor is wiped before the next run.",
    ],
  ),
  tools: [knife, glueGun, solder, drill],
  protocols: [
    {
      name: "Two litres",
      definition: {
        conditions: [
          { key: "V", name: "Water", unit: "L", target: "2.00", tolerance: "0.02", u: "0.01" },
          { key: "h", name: "Fall", unit: "m", target: "1.00", tolerance: "0.01", u: "0.005" },
        ],
        measures: [
          { key: "U", name: "Voltage of the capacitor", unit: "V", resolution: "0.01", u: "0.02", min: "0", max: "6" },
          { key: "t", name: "Time", unit: "s", resolution: "0.5", u: "0.5", min: "1", max: "600" },
        ],
        constants: [
          { key: "C", name: "Capacitor", unit: "F", value: "0.47", u: "0.02" },
          { key: "g", name: "Gravity", unit: "m/s^2", value: "9.81" },
          { key: "rho", name: "Density of water", unit: "kg/m^3", value: "998" },
        ],
        derived: [
          {
            key: "E",
            name: "Stored energy",
            unit: "J",
            expression: "C * U ^ 2 / 2",
            decimals: 2,
            rule: "Half of the capacity times the voltage squared.",
          },
          {
            key: "eta",
            name: "Efficiency",
            unit: "%",
            expression: "C * U ^ 2 / 2 / (rho * V * g * h)",
            decimals: 1,
            rule: "Stored energy over what the falling water had to give.",
            bound: "100",
          },
        ],
        primary: "E",
        better: "more",
        policy: { school: "best", n: 3, foul: "out" },
        safety: [
          "The capacitor is empty before each run: short it over the resistor, and measure.",
          "Hands dry before a wire is touched; nothing is connected to the mains.",
          "Wipe the floor before the next run.",
        ],
      },
    },
  ],
  requirements: [
    must(mass, "inspection", atMost("mass", "900", "g")),
    must(size, "inspection", fitsIn("350 × 250 × 250 mm")),
    must(cost, "inspection", costs("25.00")),
    must(stores, "test", under("Two litres", "E", "≥", "1.5", "J")),
    must(volts, "test", under("Two litres", "U", "≤", "6", "V")),
    must("Only the water drives it; no battery", "inspection"),
    must("No drop of water reaches a wire", "demonstration"),
    should("At least 8 % of the water's energy is stored", "test", under("Two litres", "eta", "≥", "8", "%")),
    should("Turning parts are guarded", "inspection"),
    should("It is emptied and cleaned without tools", "demonstration"),
  ],
  rubrics: rubrics("Design review", "Construction", "Notebook", "Teamwork"),
  milestones: [
    { title: "Energy reckoned: what is there at most", session: 4 },
    { title: "Ready for material", session: 9, gate: buildGate("Soldering iron") },
    { title: "It turns", session: 14 },
    { title: "It charges", session: 18 },
    { title: "Inspection", session: 25 },
    { title: "Two litres before all", session: 26 },
  ],
  tasks: [
    { title: "What 2 litres can give at most", length: 2, milestone: "Energy reckoned: what is there at most" },
    { title: "Generators compared on the bench", length: 2 },
    { title: "Wheels sketched and chosen", length: 3, after: ["Energy reckoned: what is there at most"] },
    {
      title: "Drawings, tool training",
      length: 2,
      after: ["Wheels sketched and chosen"],
      milestone: "Ready for material",
    },
    { title: "Wheel and frame", length: 4, after: ["Ready for material"], milestone: "It turns" },
    {
      title: "Gear and generator",
      length: 4,
      after: ["It turns", "Generators compared on the bench"],
      milestone: "It charges",
    },
    { title: "One change at a time", length: 5, after: ["It charges"], milestone: "Inspection" },
  ],
  events: [
    attempts("Two litres", "Two litres", "E", "more", {
      resolution: "0.05",
      points: line(["0", "0"], ["1.5", "80"], ["3", "100"]),
      cautions: "Capacitor empty, voltage measured\nFloor dry, nothing on the mains\nTurning parts guarded",
    }),
  ],
  scheme: {
    decimals: 0,
    components: [
      ...usualParts("Design review", "Ready for material"),
      part(
        "E",
        "Stored energy, best build",
        25,
        performance(
          { protocol: "Two litres", channel: "E", build: "best" },
          line(["0", "0"], ["1.5", "85"], ["3", "100"]),
        ),
      ),
      part("construction", "Construction", 20, { kind: "rubric", review: "Construction" }, late),
      part("musts", "Musts met", 15, { kind: "coverage" }),
    ],
  },
};
