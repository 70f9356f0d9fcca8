import { formatNumber } from "@/core/quantity/quantity";
import { listed } from "@/core/text/listed";
import { stockMove } from "@/core/vocabulary/shop";
import { nameAndReason } from "@/core/vocabulary/vocabulary";
import { shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { teamsOf } from "@/stages/teams/queries/teams";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { withdrawStockMoveAction } from "../actions";
import { stockActs } from "../acts";
import { KitsPart } from "../parts/kits-part";
import { ShopTabs } from "../parts/shop-tabs";
import { EditStockItem, GotParts, MoveStock, NewStockItem } from "../parts/stock-forms";
import { costLimit, kitsOf, kitsOut, partsNeeded, stockMoves, stockOf } from "../queries/stock";
import { budgets, countText, listTotal, shoppingList, stockLines, unitWords } from "../view/stock";

/** What is in stock, what the class is to buy, what each team's list costs, and the kits that are out. */
export async function StockScreen({ slug }: { slug: string }) {
  const page = await projectPage(slug);
  const { frame, staff, ownTeam } = page;
  const p = frame.project;
  const [items, moves, parts, kits, out, teams, settings, limit] = await Promise.all([
    stockOf(p.id),
    staff ? stockMoves(p.id) : Promise.resolve([]),
    partsNeeded(p.id),
    kitsOf(p.id),
    kitsOut(p.id),
    teamsOf(p.id),
    settingsOf(p.id),
    costLimit(p.id),
  ]);
  const keeps = page.may(stockActs.keep) && !p.finishedAt;
  const lines = stockLines(items, parts);
  const own = staff ? parts : parts.filter((x) => x.teamId === ownTeam);
  const buy = shoppingList(staff ? lines : [], own);
  const { total, unknown } = listTotal(buy);
  const money = budgets(own, limit, settings.donated);
  const amount = (v: string) => ({ value: Number(v), show: countText(v) });
  const cost = (v: string | null) => ({
    value: v === null ? null : Number(v),
    show: v === null ? "" : formatNumber(v, 2),
  });
  const short = lines.filter((l) => l.short).length;
  const options = teams.map((t) => ({ value: t.id, label: t.name }));
  return (
    <>
      <PageHead
        title="Stock and kits"
        note={
          short
            ? `${listed(lines.filter((l) => l.short).map((l) => l.item.name))}: too little for what the builds need.`
            : "What is there, what the class is to buy, and which kits are out."
        }
      >
        {staff && buy.length > 0 && (
          <LinkButton href={`/p/${slug}/csv/shopping`} download>
            Shopping list as CSV
          </LinkButton>
        )}
      </PageHead>
      <ShopTabs slug={slug} />
      <div className="grid gap-8">
        <section>
          {items.length === 0 ? (
            <Empty title="Nothing is in stock yet">
              List sheets, bars, screws and glue with their place and price. Parts lists can then take from it, and what
              runs low stands on the shopping list.
            </Empty>
          ) : (
            <>
              <h2 className="mb-2">In stock</h2>
              <DataTable
                caption="In stock"
                columns={[
                  { key: "name", text: "Material or part" },
                  { key: "size", text: "Size of one" },
                  { key: "there", text: "There", num: true },
                  { key: "needed", text: "Builds need", num: true },
                  { key: "remains", text: "Remain", num: true },
                  { key: "low", text: "Again below", num: true },
                  { key: "price", text: `Price (${p.currency})`, num: true },
                  { key: "place", text: "Place" },
                  ...(keeps ? [{ key: "tools", text: "", className: "no-print" }] : []),
                ]}
                rows={lines.map(({ item, needed, remains, short: low }) => ({
                  id: item.id,
                  cells: {
                    name: item.name,
                    size: item.sizeText,
                    there: { value: Number(item.there), show: `${countText(item.there)} ${unitWords[item.form]}` },
                    needed: amount(needed),
                    remains: { ...amount(remains), className: low ? "font-[650] text-iron" : "" },
                    low: item.low === null ? "" : amount(item.low),
                    price: item.donated ? "given" : cost(item.price),
                    place: item.place,
                    tools: {
                      value: null,
                      show: (
                        <span className="flex flex-wrap gap-x-2.5">
                          <MoveStock itemId={item.id} teams={options} />
                          <EditStockItem
                            id={item.id}
                            version={item.version}
                            unit={frame.units.side}
                            currency={p.currency}
                            typed={{
                              name: item.name,
                              form: item.form,
                              size: item.sizeText,
                              price: item.price ?? "",
                              low: item.low ?? "",
                              place: item.place,
                              supplier: item.supplier,
                              donated: item.donated,
                            }}
                          />
                        </span>
                      ),
                    },
                  },
                }))}
              />
            </>
          )}
          {keeps && (
            <div className="mt-3">
              <NewStockItem projectId={p.id} unit={frame.units.side} currency={p.currency} />
            </div>
          )}
        </section>
        {buy.length > 0 && (
          <section>
            <h2 className="mb-2">
              To buy: {formatNumber(total, 2)} {p.currency}
              {unknown > 0 && `, and ${unknown} without a price`}
            </h2>
            <DataTable
              caption="To buy"
              columns={[
                { key: "name", text: "What" },
                { key: "count", text: "How much", num: true },
                { key: "cost", text: `Cost (${p.currency})`, num: true },
                { key: "supplier", text: "Supplier" },
                { key: "why", text: "For" },
                { key: "tools", text: "", className: "no-print" },
              ]}
              rows={buy.map((b) => ({
                id: b.key,
                cells: {
                  name: b.name,
                  count: { value: Number(b.count), show: `${countText(b.count)} ${unitWords[b.unit]}` },
                  cost: cost(b.cost),
                  supplier: b.supplier,
                  why: b.why,
                  tools: {
                    value: null,
                    show: b.partIds.length > 0 && !p.finishedAt && <GotParts partIds={b.partIds} got name={b.name} />,
                  },
                },
              }))}
            />
          </section>
        )}
        {money.length > 0 && (
          <section className="max-w-[860px]">
            <h2 className="mb-2">
              What each team's newest list costs
              {limit !== null && `, of ${formatNumber(limit, 2)} ${p.currency} at most`}
            </h2>
            <DataTable
              caption="What each team's newest list costs"
              columns={[
                { key: "team", text: "Team" },
                { key: "listed", text: "By its list", num: true },
                { key: "got", text: "Of that here", num: true },
                { key: "left", text: "Left of the limit", num: true },
                { key: "unknown", text: "Without a price", num: true },
              ]}
              rows={money.map((m) => ({
                id: m.teamId,
                cells: {
                  team: { value: m.team, href: `/p/${slug}/builds?team=${m.teamId}` },
                  listed: cost(m.listed),
                  got: cost(m.got),
                  left: {
                    ...cost(m.left),
                    className: m.left !== null && Number(m.left) < 0 ? "font-[650] text-iron" : "",
                  },
                  unknown: m.unknown || "",
                },
              }))}
            />
          </section>
        )}
        <KitsPart
          projectId={p.id}
          kits={kits}
          out={staff ? out : out.filter((o) => o.teamId === ownTeam)}
          teams={options}
          keeps={keeps}
          dated={shortDate}
        />
        {moves.length > 0 && (
          <section>
            <h2 className="mb-2">What came and went</h2>
            <DataTable
              caption="What came and went"
              columns={[
                { key: "on", text: "Day" },
                { key: "item", text: "What" },
                { key: "kind", text: "How" },
                { key: "amount", text: "How much", num: true },
                { key: "note", text: "Note" },
                { key: "by", text: "Written by" },
                ...(keeps ? [{ key: "tools", text: "", className: "no-print" }] : []),
              ]}
              rows={moves.map((m) => ({
                id: m.id,
                cells: {
                  on: { value: m.onDate, show: shortDate(m.onDate) },
                  item: m.item,
                  kind: [nameAndReason(stockMove.labels[m.kind])[0], m.team].filter(Boolean).join(": "),
                  amount: {
                    value: Number(m.amount),
                    show: `${Number(m.amount) > 0 ? "+" : ""}${countText(m.amount)}`,
                  },
                  note: m.note,
                  by: m.madeBy,
                  tools: {
                    value: null,
                    show: (
                      <WithdrawButton action={withdrawStockMoveAction} id={m.id} name={`${m.item}, ${m.onDate}`}>
                        take out
                      </WithdrawButton>
                    ),
                  },
                },
              }))}
            />
          </section>
        )}
      </div>
    </>
  );
}
