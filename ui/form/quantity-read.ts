import { formatSi, parseQuantity } from "@/core/quantity/quantity";

/** What was understood of a quantity as it is typed: in the field's unit where it was typed in another, or why not. */
export function readBack(typed: string, unit: string): { readonly converted?: string; readonly wrong?: string } {
  if (!typed.trim()) return {};
  const parsed = parseQuantity(typed, unit);
  if (!parsed.ok) return { wrong: parsed.message };
  const other = /[a-z°″′"']/i.test(typed) && unit !== "1" && !typed.trim().endsWith(unit);
  return other ? { converted: `= ${formatSi(parsed.quantity.si, unit)} ${unit}` } : {};
}
