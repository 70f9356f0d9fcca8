import Decimal from "decimal.js";
import { rollUp } from "@/core/builds/parts";
import type { DonatedMethod } from "@/core/vocabulary/builds";
import type { StockForm } from "@/core/vocabulary/shop";
import { readLengths } from "@/platform/schema/entered";
import type { NeededPart, StockItem } from "../queries/stock";

export type StockSize = { ok: true; length: string | null; width: string | null } | { ok: false; message: string };

/** The size of a sheet or a bar as typed; other stock has none. */
export function readSize(text: string, form: StockForm, unit: string): StockSize {
  if (form !== "sheets" && form !== "bars") return { ok: true, length: null, width: null };
  const example = form === "sheets" ? `600 × 400 ${unit}` : `2400 ${unit}`;
  if (!text) return { ok: false, message: `Write the size of one, for example ${example}.` };
  const read = readLengths(text, unit);
  if (!read || read.length !== (form === "sheets" ? 2 : 1))
    return { ok: false, message: `“${text}” is no size. Write for example ${example}.` };
  return { ok: true, length: read[0]!, width: read[1] ?? null };
}

/** Something in stock as its row shows it. */
export interface StockLine {
  readonly item: StockItem;
  /** What the teams' newest builds still need of it. */
  readonly needed: string;
  /** What remains when they have it. */
  readonly remains: string;
  readonly short: boolean;
}

/** Parts of lists that come from the stock: chosen from it, or of its name. */
export const stockPart = (p: NeededPart, item: Pick<StockItem, "id" | "name">): boolean =>
  p.source === "stock" &&
  (p.stockItemId ? p.stockItemId === item.id : p.name.trim().toLowerCase() === item.name.trim().toLowerCase());

/** The stock with what the newest builds need of it; short is what falls below what it is bought again at. */
export function stockLines(items: readonly StockItem[], parts: readonly NeededPart[]): StockLine[] {
  return items.map((item) => {
    const needed = parts
      .filter((p) => stockPart(p, item) && p.gotOn === null)
      .reduce((n, p) => n.plus(p.count), new Decimal(0));
    const remains = new Decimal(item.there).minus(needed);
    return {
      item,
      needed: needed.toString(),
      remains: remains.toString(),
      short: remains.lt(item.low ?? 0),
    };
  });
}

/** A line of the class's shopping list. */
export interface ToBuy {
  readonly key: string;
  readonly name: string;
  readonly count: string;
  readonly unit: StockForm;
  readonly cost: string | null;
  readonly supplier: string;
  /** For whom, or why. */
  readonly why: string;
  /** The part that is ticked when it is there; none for what is bought for the stock. */
  readonly partIds: readonly string[];
}

const times = (price: string | null, count: Decimal) =>
  price === null ? null : new Decimal(price).times(count).toString();

/** What is to be bought for the class: stock that runs low, and what the newest builds list as bought and lack. */
export function shoppingList(lines: readonly StockLine[], parts: readonly NeededPart[]): ToBuy[] {
  const stock = lines
    .filter((l) => l.short)
    .map(({ item, remains }): ToBuy => {
      const count = new Decimal(item.low ?? 0).minus(remains);
      const low = item.low === null ? "" : `, and ${item.low} are to be there`;
      return {
        key: item.id,
        name: item.name,
        count: count.toString(),
        unit: item.form,
        cost: item.donated ? null : times(item.price, count),
        supplier: item.supplier,
        why: `stock: ${countText(remains)} remain when all builds have theirs${low}`,
        partIds: [],
      };
    });
  const open = parts.filter((p) => p.source === "bought" && p.gotOn === null);
  const groups = new Map<string, NeededPart[]>();
  for (const p of open) {
    const key = `${p.name.trim().toLowerCase()} ${p.supplier.trim().toLowerCase()} ${p.cost}`;
    groups.set(key, [...(groups.get(key) ?? []), p]);
  }
  const bought = [...groups].map(([key, list]): ToBuy => {
    const count = list.reduce((n, p) => n.plus(p.count), new Decimal(0));
    const first = list[0]!;
    return {
      key,
      name: first.name,
      count: count.toString(),
      unit: "pieces",
      cost: times(first.cost, count),
      supplier: first.supplier,
      why: list.map((p) => `${p.team} ${p.count}`).join(", "),
      partIds: list.map((p) => p.id),
    };
  });
  // By supplier, as one goes to buy; those without one last.
  return [...stock, ...bought].sort(
    (a, b) =>
      Number(!a.supplier) - Number(!b.supplier) || a.supplier.localeCompare(b.supplier) || a.name.localeCompare(b.name),
  );
}

/** What a shopping list comes to, and what on it has no price. */
export const listTotal = (list: readonly ToBuy[]) => ({
  total: list.reduce((n, l) => n.plus(l.cost ?? 0), new Decimal(0)).toString(),
  unknown: list.filter((l) => l.cost === null).length,
});

/** A team's money: what its newest build lists, what of it is there, and what the limit leaves. */
export interface TeamBudget {
  readonly teamId: string;
  readonly team: string;
  readonly listed: string | null;
  readonly got: string | null;
  readonly left: string | null;
  readonly unknown: number;
}

/** What each team's newest build costs by its list, against the limit on cost where there is one. */
export function budgets(parts: readonly NeededPart[], limit: string | null, donated: DonatedMethod): TeamBudget[] {
  const teams = [...new Map(parts.map((p) => [p.teamId as string, p.team])).entries()];
  return teams.map(([teamId, team]) => {
    const mine = parts.filter((p) => p.teamId === teamId);
    const cost = (list: readonly NeededPart[]) => rollUp(list, "cost", "1", donated).value;
    const listed = cost(mine);
    return {
      teamId,
      team,
      listed: listed.total,
      got: cost(mine.filter((p) => p.gotOn !== null)).total,
      left: limit === null || listed.total === null ? null : new Decimal(limit).minus(listed.total).toString(),
      unknown: listed.unknown.length,
    };
  });
}

/** A count without noughts behind it, at most to a thousandth. */
export const countText = (v: Decimal.Value): string => new Decimal(v).toDecimalPlaces(3).toString().replace("-", "−");

/** What stands behind a count. */
export const unitWords: Readonly<Record<StockForm, string>> = {
  pieces: "",
  sheets: "sheets",
  bars: "bars",
  metres: "m",
  kilograms: "kg",
  litres: "L",
};
