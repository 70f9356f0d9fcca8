// The story of the demo, all made up: who is in it, what they built, and what happened.

export const instructors = {
  owner: { name: "Mara Okonedo", email: "mara.okonedo@hartsedge.example" },
  co: { name: "Tomas Lindqvist", email: "tomas.lindqvist@hartsedge.example" },
};

/** Teams in order with their section and members; the first member leads. */
export const teams: { name: string; section: "3" | "5"; members: string[] }[] = [
  { name: "Alder", section: "3", members: ["Ines Castellane", "Jonah Brightwater", "Priya Raman", "Oskar Vell"] },
  { name: "Bramble", section: "3", members: ["Leila Haddad", "Marcus Thorne", "Wen Jiao"] },
  { name: "Cistern", section: "3", members: ["Amara Diallo", "Felix Norrington", "Sunniva Aas", "Rafael Quintero"] },
  { name: "Downpour", section: "3", members: ["Greta Malik", "Hugo Penhallow", "Yuki Sorano"] },
  { name: "Ebb & Co", section: "5", members: ["Nadia Orlova", "Callum Reyes", "Tilda Frost", "Bashir Noor"] },
  { name: "Freshet", section: "5", members: ["Zora Whitlock", "Emil Sandoval", "Mei Tanaka"] },
  { name: "Gully", section: "5", members: ["Paloma Ferrer", "Dev Chowdhury", "Astrid Kell", "Samuel Okafor"] },
  { name: "Headrace", section: "5", members: ["Vera Lindholm", "Kofi Mensah", "Rowan Ashby"] },
];

export interface Gen {
  team: string;
  week: number;
  day: number;
  stage: "mock-up" | "proof of concept" | "prototype" | "final";
  changed: string;
  why: string;
  expected?: string;
  predicted?: string;
  mass: string;
  cost: string;
  sides: string;
  variables: string;
  features?: string;
  learned?: string;
  /** Runs by week: how many, flow (L/min), efficiency, and where it went wrong, how. */
  runs: {
    week: number;
    day: number;
    n: number;
    flow: number;
    eff: number;
    height?: number;
    void?: string;
    foul?: boolean;
  }[];
  leak?: string[];
}

const v = (bore: number, stroke: number, valve: string, lever: string) =>
  `bore = ${bore} mm\nstroke = ${stroke.toFixed(2)} m\nvalve = ${valve}\nlever = ${lever}`;

export const gens: Gen[] = [
  {
    team: "Alder",
    week: 3,
    day: 1,
    stage: "mock-up",
    changed: "First mock-up: card and drain pipe, marble valve",
    why: "See whether the lever reaches",
    mass: "2.9 kg",
    cost: "11.20",
    sides: "590 × 340 × 360 mm",
    variables: v(40, 0.25, "marble", "1 : 3"),
    predicted: "4.0",
    runs: [{ week: 4, day: 1, n: 4, flow: 4.05, eff: 0.13 }],
  },
  {
    team: "Alder",
    week: 5,
    day: 0,
    stage: "proof of concept",
    changed: "Leather cup in place of the rag seal",
    why: "The first seal let half the water back",
    expected: "Less slip at the same force",
    predicted: "5.5",
    mass: "3.6 kg",
    cost: "17.80",
    sides: "590 × 360 × 370 mm",
    variables: v(40, 0.25, "marble", "1 : 3").replace("valve", "seal = leather\nvalve"),
    runs: [
      { week: 5, day: 1, n: 3, flow: 5.1, eff: 0.17 },
      { week: 6, day: 1, n: 5, flow: 6.6, eff: 0.205 },
    ],
    leak: ["9", "8"],
  },
  {
    team: "Alder",
    week: 7,
    day: 0,
    stage: "prototype",
    changed: "Flap valve and longer stroke",
    why: "The marble seats slowly; a longer stroke wastes less at the ends",
    expected: "About a third more",
    predicted: "8.0",
    mass: "4.4 kg",
    cost: "28.40",
    sides: "595 × 380 × 390 mm",
    variables: v(40, 0.27, "rubber flap", "1 : 3").replace("valve", "seal = leather\nvalve"),
    features: "leather cup, rubber flap valve, long lever",
    runs: [{ week: 7, day: 0, n: 4, flow: 8.35, eff: 0.255 }],
    leak: ["3", "2.5"],
  },
  {
    team: "Bramble",
    week: 4,
    day: 0,
    stage: "proof of concept",
    changed: "Piston pump from plumbing parts",
    why: "Client chose the simple concept",
    mass: "4.1 kg",
    cost: "24.00",
    sides: "540 × 320 × 380 mm",
    variables: v(32, 0.25, "ball", "1 : 2"),
    runs: [{ week: 5, day: 1, n: 4, flow: 4.5, eff: 0.16 }],
  },
  {
    team: "Bramble",
    week: 6,
    day: 0,
    stage: "prototype",
    changed: "Wider bore, new lever and new hose at once",
    why: "Everything looked improvable",
    expected: "Much more water",
    predicted: "7.5",
    mass: "4.7 kg",
    cost: "33.10",
    sides: "560 × 340 × 395 mm",
    variables: v(36, 0.24, "ball", "1 : 3").concat("\nhose = 19 mm"),
    features: "ball valve, wide hose",
    learned: "Three changes at once: more water, but nobody can say from which",
    runs: [
      { week: 6, day: 1, n: 4, flow: 5.7, eff: 0.19 },
      { week: 7, day: 0, n: 2, flow: 5.95, eff: 0.19 },
    ],
  },
  {
    team: "Cistern",
    week: 3,
    day: 0,
    stage: "mock-up",
    changed: "Mock-up with syringe valves",
    why: "Try the two-cylinder idea small",
    mass: "1.9 kg",
    cost: "8.60",
    sides: "420 × 300 × 320 mm",
    variables: v(30, 0.22, "syringe", "1 : 2"),
    runs: [{ week: 3, day: 3, n: 3, flow: 3.1, eff: 0.12 }],
  },
  {
    team: "Cistern",
    week: 4,
    day: 0,
    stage: "proof of concept",
    changed: "Second cylinder",
    why: "Pump on both strokes",
    predicted: "6.0",
    mass: "3.3 kg",
    cost: "21.50",
    sides: "560 × 380 × 360 mm",
    variables: v(30, 0.22, "syringe", "1 : 2").concat("\ncylinders = 2"),
    runs: [
      { week: 4, day: 1, n: 4, flow: 5.5, eff: 0.19 },
      { week: 5, day: 1, n: 4, flow: 6.3, eff: 0.21 },
    ],
    leak: ["6"],
  },
  {
    team: "Cistern",
    week: 6,
    day: 0,
    stage: "prototype",
    changed: "Rubber flap valves",
    why: "Syringe valves choke above 6 L/min",
    predicted: "7.8",
    mass: "4.2 kg",
    cost: "31.90",
    sides: "580 × 390 × 380 mm",
    variables: v(30, 0.22, "rubber flap", "1 : 2").concat("\ncylinders = 2"),
    runs: [{ week: 6, day: 1, n: 5, flow: 7.9, eff: 0.25 }],
    leak: ["2", "1.5"],
  },
  {
    team: "Cistern",
    week: 7,
    day: 0,
    stage: "prototype",
    changed: "Guided piston rod",
    why: "The rod bent sideways and rubbed",
    expected: "Less force for the same water",
    predicted: "9.0",
    mass: "4.6 kg",
    cost: "38.70",
    sides: "585 × 395 × 385 mm",
    variables: v(30, 0.22, "rubber flap", "1 : 2").concat("\ncylinders = 2\nrod = guided"),
    features: "two cylinders, rubber flap valves, guided rod",
    runs: [{ week: 7, day: 0, n: 5, flow: 9.2, eff: 0.305 }],
    leak: ["1.5", "1"],
  },
  {
    team: "Downpour",
    week: 4,
    day: 0,
    stage: "mock-up",
    changed: "Chain-and-disc pump from string and corks",
    why: "No valves, so nothing to leak",
    mass: "2.2 kg",
    cost: "7.40",
    sides: "590 × 240 × 400 mm",
    variables: "discs = cork\nspacing = 60 mm\nstroke = 0.25 m",
    learned: "Corks swell overnight and jam",
    runs: [{ week: 4, day: 3, n: 3, flow: 3.8, eff: 0.11, foul: true }],
  },
  {
    team: "Ebb & Co",
    week: 3,
    day: 0,
    stage: "mock-up",
    changed: "Bellows from a bicycle tube",
    why: "A bellows has no sliding seal",
    mass: "2.4 kg",
    cost: "9.90",
    sides: "480 × 380 × 300 mm",
    variables: "bellows = tube\nstroke = 0.25 m\nvalve = flap",
    runs: [
      { week: 4, day: 2, n: 4, flow: 4.7, eff: 0.15 },
      { week: 5, day: 2, n: 2, flow: 4.95, eff: 0.155 },
    ],
  },
  {
    team: "Ebb & Co",
    week: 6,
    day: 0,
    stage: "proof of concept",
    changed: "Stiffer bellows with rings, and a second valve",
    why: "It ballooned, and leaked back",
    predicted: "6.5",
    mass: "4.3 kg",
    cost: "27.00",
    sides: "520 × 390 × 340 mm",
    variables: "bellows = tube with rings\nstroke = 0.25 m\nvalve = two flaps",
    features: "bellows, two flap valves",
    runs: [
      { week: 6, day: 2, n: 4, flow: 6.6, eff: 0.21 },
      { week: 7, day: 0, n: 2, flow: 7.0, eff: 0.22 },
    ],
    leak: ["5"],
  },
  {
    team: "Freshet",
    week: 3,
    day: 0,
    stage: "mock-up",
    changed: "Pulse pump without a handle piston",
    why: "A brave idea: let the water's own swing lift it",
    mass: "2.0 kg",
    cost: "6.10",
    sides: "590 × 300 × 280 mm",
    variables: "tube = 22 mm\nstroke = 0.25 m",
    runs: [{ week: 4, day: 2, n: 4, flow: 2.7, eff: 0.09 }],
  },
  {
    team: "Freshet",
    week: 5,
    day: 0,
    stage: "proof of concept",
    changed: "Longer swing tube",
    why: "A longer column carries more swing",
    predicted: "5.0",
    mass: "3.9 kg",
    cost: "19.20",
    sides: "598 × 320 × 300 mm",
    variables: "tube = 22 mm\nlength = 2.4 m\nstroke = 0.25 m",
    runs: [{ week: 5, day: 2, n: 3, flow: 4.3, eff: 0.14 }],
  },
  {
    team: "Freshet",
    week: 6,
    day: 0,
    stage: "prototype",
    changed: "Spring return in place of the hand return",
    why: "Hold the swing at its own rate",
    predicted: "7.0",
    mass: "4.8 kg",
    cost: "30.50",
    sides: "598 × 330 × 310 mm",
    variables: "tube = 22 mm\nlength = 2.4 m\nstroke = 0.25 m\nreturn = spring",
    features: "swing tube, spring return",
    learned: "The swing only adds up at one rate; 60 strokes a minute is off it. A tuned length would need 3.1 m",
    runs: [{ week: 6, day: 2, n: 3, flow: 5.0, eff: 0.15 }],
  },
  {
    team: "Gully",
    week: 4,
    day: 0,
    stage: "mock-up",
    changed: "Lever pump from scrap timber",
    why: "Strong and quick to build",
    mass: "4.4 kg",
    cost: "5.80",
    sides: "600 × 400 × 390 mm",
    variables: v(38, 0.25, "flap", "1 : 4"),
    runs: [{ week: 4, day: 2, n: 3, flow: 3.9, eff: 0.12 }],
  },
  {
    team: "Gully",
    week: 5,
    day: 0,
    stage: "proof of concept",
    changed: "Machined piston",
    why: "The first one was not round",
    predicted: "6.0",
    mass: "5.0 kg",
    cost: "26.30",
    sides: "600 × 400 × 395 mm",
    variables: v(38, 0.25, "flap", "1 : 4").concat("\npiston = turned"),
    runs: [
      { week: 5, day: 2, n: 4, flow: 6.0, eff: 0.2 },
      {
        week: 6,
        day: 2,
        n: 4,
        flow: 6.1,
        eff: 0.2,
        height: 1.48,
        void: "The upper tank stood 12 cm too low for the whole session",
      },
    ],
  },
  {
    team: "Gully",
    week: 7,
    day: 0,
    stage: "prototype",
    changed: "Steel lever and heavier base",
    why: "The timber flexed",
    expected: "No flex, more stroke at the piston",
    predicted: "7.5",
    mass: "5.6 kg",
    cost: "36.00",
    sides: "600 × 400 × 398 mm",
    variables: v(38, 0.25, "flap", "1 : 4").concat("\npiston = turned\nlever material = steel"),
    features: "turned piston, steel lever",
    runs: [{ week: 7, day: 0, n: 3, flow: 7.65, eff: 0.235 }],
    leak: ["4.5"],
  },
  {
    team: "Headrace",
    week: 5,
    day: 0,
    stage: "proof of concept",
    changed: "Double-acting piston, one valve block",
    why: "Started late, so straight to a proof of concept",
    mass: "4.0 kg",
    cost: "23.40",
    sides: "560 × 350 × 360 mm",
    variables: v(34, 0.24, "ball", "1 : 2"),
    runs: [
      { week: 5, day: 2, n: 3, flow: 3.4, eff: 0.12 },
      { week: 6, day: 2, n: 3, flow: 3.65, eff: 0.125 },
    ],
  },
  {
    team: "Headrace",
    week: 7,
    day: 0,
    stage: "prototype",
    changed: "Flap valves and a stiffer frame",
    why: "The balls hung, and the frame twisted",
    predicted: "6.0",
    mass: "4.5 kg",
    cost: "32.80",
    sides: "575 × 360 × 370 mm",
    variables: v(34, 0.24, "rubber flap", "1 : 2").concat("\nframe = braced"),
    features: "double-acting, braced frame",
    runs: [{ week: 7, day: 0, n: 4, flow: 6.5, eff: 0.21 }],
  },
];

export const brief = `## Need

The community garden on Quarry Lane stores rainwater in a tank at the foot of its terraces. The beds are 1.60 m \
higher. Today volunteers carry cans up the steps. They need a pump that one person works by hand.

## Client

Odile Brandt, coordinator of the garden. She answers questions in class in week 2 and sees the pumps in week 9.

## Rules

- At most **5.0 kg**, dry.
- Fits **600 × 400 × 400 mm** when put away.
- Parts cost at most **45.00 cr**, from the allowed list; donated parts count at a fair price.
- One operator, by hand. No mains power.
- No more than **5 mL** leaks on the path in 60 s.

## Deliverables

- A drawing of your own, before any cutting.
- Generations, each with what changed and why.
- The pump, at the contest, with its record.

## Safety

The workshop's rules hold. Knife, drill and glue gun only after your tool sign-off; eyes protected; water stays away \
from the power strips. Ask the instructor before the first use of a tool.
`;

export const rubric = {
  name: "Design review",
  criteria: [
    {
      key: "fit",
      name: "Meets what was asked",
      weight: "3",
      levels: [
        ["0", "not shown"],
        ["1", "some musts, by word"],
        ["2", "most musts, by measurement"],
        ["3", "every must, by measurement"],
      ],
    },
    {
      key: "reason",
      name: "Reasons for changes",
      weight: "2",
      levels: [
        ["0", "none"],
        ["1", "opinions"],
        ["2", "from tests"],
        ["3", "from tests, one change at a time"],
      ],
    },
    {
      key: "make",
      name: "Construction",
      weight: "2",
      levels: [
        ["0", "falls apart"],
        ["1", "works for a minute"],
        ["2", "sound"],
        ["3", "could be handed over"],
      ],
    },
    {
      key: "tell",
      name: "Presentation",
      weight: "1",
      levels: [
        ["0", "not ready"],
        ["1", "read out"],
        ["2", "clear"],
        ["3", "clear, and answers questions"],
      ],
    },
  ].map((c) => ({
    ...c,
    levels: c.levels.map(([points, descriptor]) => ({ points: points!, descriptor: descriptor! })),
  })),
};

export const lastYear = {
  teams: [
    { name: "Adze", flow: 8.7, eff: 0.27 },
    { name: "Brook", flow: 7.4, eff: 0.23 },
    { name: "Conduit", flow: 6.9, eff: 0.2 },
    { name: "Delta", flow: 5.2, eff: 0.17 },
    { name: "Eddy", flow: 7.9, eff: 0.24 },
    { name: "Ford", flow: 6.1, eff: 0.18 },
  ],
  members: [
    "Anton Birch",
    "Beatriz Solano",
    "Clara Winther",
    "Dario Conte",
    "Ewa Zielinska",
    "Finn Gallagher",
    "Gita Verma",
    "Hanne Lund",
    "Ivo Marek",
    "Jada Coleman",
    "Kasper Holt",
    "Luz Marin",
    "Mikko Salo",
    "Nora Eide",
    "Omar Farouk",
    "Petra Vogel",
    "Quentin Shaw",
    "Rosa Amadi",
  ],
};
