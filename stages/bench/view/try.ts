import { assessRun } from "@/core/run/assess";
import { channelsOf, checkProtocol, type ProtocolDefinition } from "@/core/run/protocol";
import { parseReading, unitAfter } from "@/core/run/reading";
import { protocolDefinition } from "../schema";

/** What example readings come to under a protocol that is being written. */
export interface Tried {
  /** What is wrong with the protocol as it stands, in words. */
  readonly problems: readonly string[];
  /** What is wrong with an example reading, by its symbol. */
  readonly readings: Readonly<Record<string, string>>;
  readonly values: readonly {
    readonly key: string;
    readonly name: string;
    readonly shown: string;
    readonly why: string;
  }[];
  readonly alarms: readonly string[];
}

/**
 * A protocol tried on example readings: each computed measure with its ±, or why there is none; conditions are as the
 * protocol sets them.
 */
export function tryProtocol(typed: unknown, examples: Readonly<Record<string, string>>): Tried {
  const none = { readings: {}, values: [], alarms: [] };
  let definition: ProtocolDefinition;
  try {
    definition = protocolDefinition.validateSync(typed) as unknown as ProtocolDefinition;
  } catch {
    return { ...none, problems: [] };
  }
  const problems = checkProtocol(definition);
  if (problems.length) return { ...none, problems };
  const readings: Record<string, string> = {};
  const wrong: Record<string, string> = {};
  for (const m of definition.measures) {
    const text = examples[m.key]?.trim();
    if (!text) continue;
    const parsed = parseReading(m, text);
    if (parsed.ok) readings[m.key] = parsed.quantity.si;
    else wrong[m.key] = parsed.message;
  }
  const run = assessRun(definition, { id: "", attempt: 1, state: "valid", reason: null, readings, conditions: {} });
  const read = new Set(definition.measures.map((m) => m.key));
  return {
    problems: [],
    readings: wrong,
    values: channelsOf(definition)
      .filter((c) => !read.has(c.key))
      .map((c) => {
        const { value, working } = run.values[c.key]!;
        const plus = working.plusMinus ? ` ± ${working.plusMinus}` : "";
        return {
          key: c.key,
          name: c.name,
          shown: value ? unitAfter(`${working.result}${plus}`, c.unit) : "",
          why: value ? "" : working.warnings.join(" "),
        };
      }),
    alarms: run.alarms,
  };
}
