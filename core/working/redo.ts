import Decimal from "decimal.js";

/**
 * What a line of arithmetic comes to, as people write it: + − × ÷ ^, brackets, √( ), | |, and % for hundredths. Null
 * where it is none.
 * @example redo("(8.6 + 8.9) ÷ 2")?.toString() // => "8.75"
 * @example redo("33 × 66.67 %")?.toString() // => "22.0011"
 * @example redo("−3^2")?.toString() // => "-9"
 * @example redo("best of 3")
 * // => null
 */
export function redo(line: string): Decimal | null {
  const tokens = line.match(/\d+(\.\d+)?(e[+-]?\d+)?|[-+−×÷^()|√%]/g) ?? [];
  if (tokens.join("") !== line.replace(/\s+/g, "")) return null;
  let at = 0;
  const take = (...wanted: string[]) => (wanted.includes(tokens[at] ?? "") ? tokens[at++]! : null);
  const must = (wanted: string) => {
    if (!take(wanted)) throw new SyntaxError(wanted);
  };
  const sum = (): Decimal => {
    let value = product();
    for (let sign = take("+", "-", "−"); sign; sign = take("+", "-", "−"))
      value = sign === "+" ? value.plus(product()) : value.minus(product());
    return value;
  };
  const product = (): Decimal => {
    let value = signed();
    for (let sign = take("×", "÷"); sign; sign = take("×", "÷"))
      value = sign === "×" ? value.times(signed()) : value.div(signed());
    return value;
  };
  const signed = (): Decimal => (take("-", "−") ? signed().neg() : power());
  const power = (): Decimal => {
    const base = single();
    return take("^") ? base.pow(signed()) : base;
  };
  const single = (): Decimal => {
    const value = bare();
    return take("%") ? value.div(100) : value;
  };
  const bare = (): Decimal => {
    if (take("√")) return enclosed().sqrt();
    if (take("|")) {
      const value = sum();
      must("|");
      return value.abs();
    }
    if (tokens[at] === "(") return enclosed();
    const number = tokens[at++] ?? "";
    if (!/^\d/.test(number)) throw new SyntaxError(number);
    return new Decimal(number);
  };
  const enclosed = (): Decimal => {
    must("(");
    const value = sum();
    must(")");
    return value;
  };
  try {
    const value = sum();
    return at === tokens.length && value.isFinite() ? value : null;
  } catch (error) {
    if (error instanceof SyntaxError) return null;
    throw error;
  }
}
