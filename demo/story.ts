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
  /** Features of the second and the third generation. */
  features: {
    Adze: ["leather cup, flap valve", "leather cup, flap valve, guided rod"],
    Brook: ["flap valve, long lever", "flap valve, long lever"],
    Conduit: ["ball valve, leather cup", "ball valve, leather cup"],
    Delta: ["flap valve", "flap valve"],
    Eddy: ["leather cup, ball valve", "leather cup, ball valve, guided rod"],
    Ford: ["marble valve, long lever", "flap valve, long lever"],
  } as Record<string, readonly [string, string]>,
  /** What failed on the build of a number, and whether the next one answers it. */
  failures: [
    {
      team: "Brook",
      on: 1,
      mode: "The lever's pivot worked loose",
      place: "pivot",
      cause: "joint",
      next: "A lock nut",
      answered: true,
    },
    {
      team: "Brook",
      on: 2,
      mode: "The pivot worked loose again",
      place: "pivot",
      cause: "joint",
      next: "A bushing",
      answered: true,
    },
    {
      team: "Conduit",
      on: 2,
      mode: "Grit held the ball off its seat",
      place: "inlet valve",
      cause: "material",
      next: "A sieve before the inlet",
      answered: false,
    },
    {
      team: "Eddy",
      on: 1,
      mode: "The leather cup dried overnight and leaked",
      place: "piston",
      cause: "material",
      next: "Grease it, and wet it before the test",
      answered: true,
    },
    {
      team: "Ford",
      on: 2,
      mode: "The handle cracked at the bolt hole",
      place: "handle",
      cause: "brace",
      next: "A plate on both sides",
      answered: true,
    },
    {
      team: "Adze",
      on: 2,
      mode: "The rod leaned and rubbed the tube",
      place: "rod",
      cause: "alignment",
      next: "Two guides above the tube",
      answered: true,
    },
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
