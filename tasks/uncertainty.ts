// The ± of every formula that ships, in the demo and on the shelf, against a simulation of a million draws: readings
// within their resolution or about their uncertainty, conditions and constants about theirs.
import { compile } from "mathjs";
import { seededRandom } from "@/core/draw/draw";
import { normalDeviate } from "@/core/draw/normal";
import { parseQuantity, spanToSi, toSi } from "@/core/quantity/quantity";
import { assessRun } from "@/core/run/assess";
import type { ProtocolDefinition } from "@/core/run/protocol";
import { shelf } from "@/core/run/shelf";
import { leakTest, liftTest } from "@/demo/protocols";

const draws = Number(process.env.DRAWS ?? 1_000_000);
const allowed = 0.02;

interface Drawn {
  readonly key: string;
  readonly value: number;
  /** Half the width of an even spread, or the standard deviation of a normal one. */
  readonly even: number;
  readonly normal: number;
}

/** What goes into a protocol's formulas, and how far each wanders. */
function drawn(p: ProtocolDefinition, readings: Readonly<Record<string, string>>): Drawn[] {
  const about = (key: string, value: string, unit: string, u: string | undefined): Drawn => ({
    key,
    value: toSi(value, unit).toNumber(),
    even: 0,
    normal: u ? spanToSi(u, unit).toNumber() : 0,
  });
  return [
    ...p.constants.map((c) => about(c.key, c.value, c.unit, c.u)),
    ...p.conditions.map((c) => about(c.key, c.target, c.unit, c.u)),
    ...p.measures.flatMap((m): Drawn[] => {
      if (readings[m.key] === undefined || m.kind === "level" || m.kind === "yes-no") return [];
      const value = Number(readings[m.key]);
      if (m.kind === "count") return [{ key: m.key, value, even: 0, normal: 0 }];
      return m.u
        ? [{ key: m.key, value, even: 0, normal: spanToSi(m.u, m.unit).toNumber() }]
        : [{ key: m.key, value, even: spanToSi(m.resolution, m.unit).toNumber() / 2, normal: 0 }];
    }),
  ];
}

/** Readings as they are typed, in SI. */
const inSi = (p: ProtocolDefinition, typed: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(
    p.measures.flatMap((m) => {
      const read = typed[m.key] === undefined ? null : parseQuantity(typed[m.key]!, m.unit);
      return read?.ok ? [[m.key, read.quantity.si]] : [];
    }),
  );

/** Mean and standard deviation of each derived measure over the draws. */
function simulated(p: ProtocolDefinition, inputs: readonly Drawn[], seed: string) {
  const random = seededRandom(seed);
  const normal = () => normalDeviate(random(), random());
  const formulas = p.derived.map((d) => ({ key: d.key, code: compile(d.expression) }));
  const sums = formulas.map(() => ({ first: Number.NaN, sum: 0, squares: 0 }));
  const scope: Record<string, number> = {};
  for (let k = 0; k < draws; k++) {
    for (const x of inputs)
      scope[x.key] = x.value + (x.even ? x.even * (2 * random() - 1) : 0) + (x.normal ? x.normal * normal() : 0);
    for (const [i, f] of formulas.entries()) {
      const value = f.code.evaluate(scope) as number;
      scope[f.key] = value;
      const s = sums[i]!;
      if (Number.isNaN(s.first)) s.first = value;
      s.sum += value - s.first;
      s.squares += (value - s.first) ** 2;
    }
  }
  return sums.map((s) => {
    const mean = s.sum / draws;
    return { mean: s.first + mean, sd: Math.sqrt(s.squares / draws - mean * mean) };
  });
}

const all: (readonly [string, ProtocolDefinition, Readonly<Record<string, string>>])[] = [
  ["demo: lift test", liftTest(2) as unknown as ProtocolDefinition, { m: "8.6", F: "34", s: "0.25" }],
  ["demo: leak test", leakTest as unknown as ProtocolDefinition, { leak: "3" }],
  ...shelf.map((t) => [`shelf: ${t.name}`, t.definition, t.example] as const),
];
let worst = 0;
let formulas = 0;
for (const [name, p, typed] of all) {
  if (!p.derived.length) continue;
  const readings = inSi(p, typed);
  const run = assessRun(p, { id: "x", attempt: 1, state: "valid", reason: null, readings, conditions: {} });
  for (const [i, s] of simulated(p, drawn(p, readings), name).entries()) {
    const d = p.derived[i]!;
    const value = run.values[d.key]?.value;
    if (!value || value.u === null || value.u === 0 || s.sd === 0) continue;
    const ratio = s.sd / Math.abs(s.mean) / (value.u / Math.abs(value.value));
    worst = Math.max(worst, Math.abs(ratio - 1));
    formulas++;
    console.log(
      `  ${`${name}, ${d.name}`.padEnd(62)} ${value.shown.padStart(16)} ${d.unit.padEnd(8)} ${ratio.toFixed(4)}`,
    );
  }
}
console.log(
  `uncertainty: ${formulas} formulas against ${draws} draws each; the furthest is off by ${(100 * worst).toFixed(2)} %`,
);
if (worst > allowed) process.exitCode = 1;
