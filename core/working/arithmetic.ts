/** A line of arithmetic, read: a number, a name, or something done with parts. */
export type Read =
  | { readonly number: string }
  | { readonly name: string }
  | { readonly does: Operation; readonly of: readonly Read[] };

type Operation = "+" | "−" | "×" | "÷" | "^" | "negative" | "%" | "√" | "|" | ArithmeticFunction;

/** What the operations come to in some kind of number. */
export interface Arithmetic<T> {
  number(text: string): T;
  readonly does: Readonly<Record<Operation, (...of: T[]) => T>>;
}

const functions = ["sin", "cos", "tan", "asin", "acos", "atan", "exp", "ln", "whole", "up", "min", "max"] as const;
/** The functions that a line may hold; `whole` rounds down to a whole number, `up` rounds up. */
type ArithmeticFunction = (typeof functions)[number];
const isFunction = (token: string): token is ArithmeticFunction => functions.some((f) => f === token);
const token = /\d+(?:\.\d+)?(?:e[+-]?\d+)?|[\p{L}][\p{L}\p{N}_]*|[-+−×÷^()|√%,]/gu;
const beginsName = /^\p{L}/u;

/**
 * Reads a line of arithmetic as people write it: + − × ÷ ^, brackets, √( ), | |, % for hundredths, names, and functions
 * such as sin( ), ln( ), min( , ). Null where it is none.
 * @example readArithmetic("a + 2") // => { does: "+", of: [{ name: "a" }, { number: "2" }] }
 * @example readArithmetic("best of 3") // => null
 */
export function readArithmetic(line: string): Read | null {
  const tokens = line.match(token) ?? [];
  if (tokens.join("") !== line.replace(/\s+/g, "")) return null;
  let at = 0;
  const take = <W extends string>(...wanted: W[]): W | null => {
    const next = wanted.find((w) => w === tokens[at]) ?? null;
    if (next) at++;
    return next;
  };
  const must = (wanted: string) => {
    if (!take(wanted)) throw new SyntaxError(wanted);
  };
  const does = (what: Operation, ...of: Read[]): Read => ({ does: what, of });
  const sum = (): Read => {
    let value = product();
    for (let sign = take("+", "-", "−"); sign; sign = take("+", "-", "−"))
      value = does(sign === "+" ? "+" : "−", value, product());
    return value;
  };
  const product = (): Read => {
    let value = signed();
    for (let sign = take("×", "÷"); sign; sign = take("×", "÷")) value = does(sign, value, signed());
    return value;
  };
  const signed = (): Read => (take("-", "−") ? does("negative", signed()) : power());
  const power = (): Read => {
    const base = single();
    return take("^") ? does("^", base, signed()) : base;
  };
  const single = (): Read => {
    const value = bare();
    return take("%") ? does("%", value) : value;
  };
  const bare = (): Read => {
    if (take("√")) return does("√", enclosed());
    if (take("|")) {
      const value = sum();
      must("|");
      return does("|", value);
    }
    const next = tokens[at] ?? "";
    if (next === "(") return enclosed();
    at++;
    if (isFunction(next)) return does(next, ...listed());
    if (beginsName.test(next)) return { name: next };
    if (!/^\d/.test(next)) throw new SyntaxError(next);
    return { number: next };
  };
  const enclosed = (): Read => {
    must("(");
    const value = sum();
    must(")");
    return value;
  };
  const listed = (): Read[] => {
    must("(");
    const values = [sum()];
    while (take(",")) values.push(sum());
    must(")");
    return values;
  };
  try {
    const value = sum();
    return at === tokens.length ? value : null;
  } catch (error) {
    if (error instanceof SyntaxError) return null;
    throw error;
  }
}

const pi = "3.1415926535897932384626433832795028842";

/**
 * What a line that was read comes to. Throws a SyntaxError for a name that nothing is known of.
 * @example comesTo({ does: "×", of: [{ name: "a" }, { number: "3" }] }, plainNumbers, { a: 2 }) // => 6
 */
export function comesTo<T>(read: Read, kind: Arithmetic<T>, names: Readonly<Record<string, T>> = {}): T {
  if ("number" in read) return kind.number(read.number);
  if ("name" in read) {
    if (read.name === "π") return kind.number(pi);
    if (!Object.hasOwn(names, read.name)) throw new SyntaxError(read.name);
    return names[read.name]!;
  }
  return kind.does[read.does](...read.of.map((r) => comesTo(r, kind, names)));
}

/**
 * Arithmetic in plain numbers.
 * @example plainNumbers.does.whole(3.7) // => 3
 */
export const plainNumbers: Arithmetic<number> = {
  number: Number,
  does: {
    "+": (a, b) => a + b,
    "−": (a, b) => a - b,
    "×": (a, b) => a * b,
    "÷": (a, b) => a / b,
    "^": (a, b) => a ** b,
    negative: (a) => -a,
    "%": (a) => a / 100,
    "√": Math.sqrt,
    "|": Math.abs,
    sin: Math.sin,
    cos: Math.cos,
    tan: Math.tan,
    asin: Math.asin,
    acos: Math.acos,
    atan: Math.atan,
    exp: Math.exp,
    ln: Math.log,
    // What a third leaves over must not turn a whole number into one less.
    whole: (a) => Math.floor(Number(a.toPrecision(12))),
    up: (a) => Math.ceil(Number(a.toPrecision(12))),
    min: Math.min,
    max: Math.max,
  },
};
