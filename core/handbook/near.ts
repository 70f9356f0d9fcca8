/** Beginnings of words that say that a calculator is near, by calculator. */
const near: Readonly<Record<string, readonly string[]>> = {
  "mass-saving": ["mass limit", "at most kg", "at most lb", "lighter", "heavy", "weigh"],
  "load-over-mass": ["break", "carries", "load over mass", "strength over"],
  "strip-between-supports": ["bridge", "beam", "bend"],
  buckling: ["column", "tower", "buckl"],
  truss: ["truss", "bridge"],
  "drop-impact": ["drop", "impact", "crash"],
  "stopping-distance": ["drop", "impact", "cushion"],
  "terminal-speed": ["parachute", "canopy", "descen"],
  "canopy-size": ["parachute", "canopy"],
  "water-power": ["lift", "pump", "water wheel", "turbine"],
  "piston-pump": ["pump", "stroke"],
  pistons: ["syringe", "hydraulic"],
  lever: ["lever", "handle", "force at"],
  "gear-pair": ["gear", "torque", "motor"],
  "mechanical-advantage": ["hoist", "pulley", "lifts", "winch"],
  "wind-power": ["wind", "rotor"],
  "average-speed": ["speed", "distance", "race", "course"],
  "spring-travel": ["spring", "rubber band", "mousetrap"],
  "hold-time": ["cold", "hold time", "warm", "temperature", "°C"],
  "ice-time": ["ice", "cold", "insulat"],
  "time-constant": ["cool", "temperature", "logger"],
  battery: ["battery", "run time"],
  floating: ["float", "boat", "buoy"],
  strips: ["strip"],
  outline: ["outline", "corner"],
  "stack-up": ["fit together", "line up", "gap"],
  fasteners: ["screw", "rivet", "fasten"],
};

/**
 * The calculators that a text is about: what a requirement or a protocol says, with its units; at most so many.
 * @example nearTo("Drop test from 3 m") // => ["drop-impact", "stopping-distance"]
 * @example nearTo("At most 5.0 kg") // => ["mass-saving"]
 * @example nearTo("Painted green") // => []
 */
export function nearTo(text: string, most = 4): string[] {
  const plain = ` ${text.toLowerCase().replace(/at most [\d.,\s]*/g, "at most ")}`;
  const hits = (words: readonly string[]) =>
    words.filter((w) => plain.includes(` ${w.toLowerCase()}`) || plain.includes(`(${w}`)).length;
  return Object.entries(near)
    .map(([id, words]) => ({ id, n: hits(words) }))
    .filter((x) => x.n > 0)
    .sort((a, b) => b.n - a.n)
    .slice(0, most)
    .map((x) => x.id);
}
