/** One sample as an instrument sends it: seconds on its own clock, and what was read then. */
export interface LineSample {
  readonly t: number;
  readonly channel: string;
  readonly value: number;
  readonly unit: string;
}

/** What a line is: a sample, something for people to read, or nothing that can be used, with the reason. */
export type ReadLine =
  | { readonly kind: "sample"; readonly sample: LineSample }
  | { readonly kind: "note"; readonly text: string }
  | { readonly kind: "bad"; readonly why: string };

const longest = 200;
const number = /^[+-]?(\d+(\.\d*)?|\.\d+)(e[+-]?\d+)?$/i;

/**
 * Reads a line of the instruments' protocol, `time,channel,value,unit`: the time in seconds on the instrument's own
 * clock, a channel's name, a number with a decimal point, and its unit, 1 where it has none. A line that starts with #
 * is a note; an empty one says nothing.
 * @example
 * readLine("12.5,force,34.2,N").sample
 * // => { t: 12.5, channel: "force", value: 34.2, unit: "N" }
 * @example readLine("# Scale 3, 5 kg").text // => "Scale 3, 5 kg"
 * @example readLine("12.5,force,3x4,N").why // => "“3x4” is no number"
 */
export function readLine(line: string): ReadLine {
  const text = line.trim();
  if (text.startsWith("#") || !text) return { kind: "note", text: text.slice(1).trim().slice(0, longest) };
  const bad = (why: string): ReadLine => ({ kind: "bad", why });
  if (text.length > longest) return bad(`a line has at most ${longest} characters`);
  const fields = text.split(",").map((f) => f.trim());
  if (fields.length !== 4) return bad(`“${text.slice(0, 40)}” is not time,channel,value,unit`);
  const [time, channel, value, unit] = fields as [string, string, string, string];
  if (!number.test(time) || Number(time) < 0) return bad(`“${time.slice(0, 40)}” is no time in seconds`);
  if (!/^[\p{L}][\p{L}\d_-]{0,29}$/u.test(channel)) return bad(`“${channel.slice(0, 40)}” is no channel's name`);
  if (!number.test(value) || !Number.isFinite(Number(value))) return bad(`“${value.slice(0, 40)}” is no number`);
  if (!unit) return bad("the unit is missing: 1 stands for none");
  return { kind: "sample", sample: { t: Number(time), channel, value: Number(value), unit } };
}

/**
 * A sample as a line of the protocol.
 * @example writeLine({ t: 0.02, channel: "mass", value: 1.25, unit: "kg" }) // => "0.02,mass,1.25,kg"
 */
export const writeLine = (s: LineSample): string => `${s.t},${s.channel},${s.value},${s.unit}`;

/**
 * Cuts what arrives in pieces into whole lines; the start of a line waits for its end. What never ends is given up
 * after 4,000 characters.
 * @example
 * ["1,a,2,N\n1.5,a", ",3,N\r\n"].map(lineCutter())
 * // => [["1,a,2,N"], ["1.5,a,3,N"]]
 */
export function lineCutter(): (piece: string) => string[] {
  let rest = "";
  return (piece) => {
    const lines = (rest + piece).split(/\r\n|\n|\r(?!$)/);
    rest = lines.pop()!.slice(0, 4000);
    return lines;
  };
}
