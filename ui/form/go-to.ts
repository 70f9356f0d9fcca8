/**
 * An address with `:name` replaced by that part of a write's answer.
 * @example goTo("/p/x/needs?r=:code", { code: "R3" }) // "/p/x/needs?r=R3"
 */
export const goTo = (pattern: string, answer: unknown): string =>
  pattern.replace(/:(\w+)/g, (_, name) => String((answer as Record<string, unknown> | null)?.[name] ?? ""));
