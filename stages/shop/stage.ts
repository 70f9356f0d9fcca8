import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";
import { shortDate } from "@/platform/pages/dates";
import type { Hit, HomePart, Search, Stage, Waiting } from "@/platform/registry/stage";
import { plural } from "@/platform/registry/words";
import { incidentActs, stockActs } from "./acts";
import * as bookings from "./commands/bookings";
import * as cuts from "./commands/cuts";
import * as kits from "./commands/kits";
import * as settings from "./commands/machine-settings";
import * as safety from "./commands/safety";
import * as stock from "./commands/stock";
import * as tools from "./commands/tools";
import { incidentsTable, shoppingTable } from "./lists";
import * as withdrawals from "./withdrawals";

/** Incidents that are open, and machines for which somebody waits. */
async function waiting(projectIds: readonly string[]): Promise<Waiting[]> {
  const sql = db();
  const rows = await sql<
    {
      projectId: row.Project["id"];
      incident: row.Incident["kind"] | null;
      machine: string;
      id: string;
      number: number;
    }[]
  >`
    SELECT project_id, kind AS incident, '' AS machine, id, 1 AS number
    FROM incident
    WHERE project_id IN ${sql(projectIds)} AND closed_at IS NULL
    UNION ALL
    SELECT b.project_id, NULL, t.name, t.id, count(*)::int
    FROM booking b
    JOIN tool t ON t.id = b.tool_id
    WHERE b.project_id IN ${sql(projectIds)} AND b.on_date IS NULL AND b.ended_at IS NULL
    GROUP BY b.project_id, t.id, t.name
  `;
  return rows.map((r) => ({
    projectId: r.projectId,
    who: "Shop",
    what: r.incident
      ? `an incident is open: ${r.incident}`
      : `${plural(r.number, "waits", "wait")} for a time: ${r.machine.toLowerCase()}`,
    stage: "Shop",
    path: r.incident ? "/shop/safety" : `/shop?machine=${r.id}`,
  }));
}

interface Booked {
  machine: string;
  toolId: string;
  onDate: string;
  starts: number;
}

const home: HomePart = {
  columns: (sql, me) => sql`
    (
      SELECT coalesce(
        json_agg(
          json_build_object('machine', m.name, 'toolId', m.id, 'onDate', b.on_date, 'starts', b.starts)
          ORDER BY b.on_date, b.starts
        ), '[]'
      )
      FROM booking b
      JOIN tool m ON m.id = b.tool_id
      WHERE b.team_id = t.id AND b.on_date >= ${me.today} AND b.started_at IS NULL
    ) AS booked
  `,
  due: (r) => (r as unknown as { booked: Booked[] }).booked.map((b) => ({ what: b.machine, on: b.onDate })),
  items: (r, today) =>
    (r as unknown as { booked: Booked[] }).booked.slice(0, 2).map((b) => ({
      what: b.machine,
      note: `booked for your team ${b.onDate === today ? "today" : shortDate(b.onDate)}, from minute ${b.starts}`,
      path: `/shop?machine=${b.toolId}&week=${b.onDate}`,
      rank: b.onDate === today ? 1 : 3,
    })),
};

async function search({ projectId, like }: Search): Promise<Hit[]> {
  const rows = await db()<{ kind: string; label: string; detail: string; path: string }[]>`
    SELECT 'machine' AS kind, name AS label, place AS detail,
      CASE WHEN shared THEN '/shop?machine=' || id ELSE '/shop/training' END AS path
    FROM tool
    WHERE project_id = ${projectId} AND plain(name) LIKE plain(${like})
    UNION ALL
    SELECT 'stock', name, place, '/shop/stock'
    FROM stock_item
    WHERE project_id = ${projectId} AND plain(name) LIKE plain(${like})
    LIMIT 8
  `;
  return rows.map((r) => ({ ...r }));
}

/** Shared machines and their queue, trainings, safety, stock and kits, plans of cuts, settings that were tried. */
export const shop: Stage = {
  key: "shop",
  name: "Shop",
  pages: [
    { label: "Shop", path: "/shop" },
    { label: "Training", path: "/shop/training" },
    { label: "Safety", path: "/shop/safety" },
    { label: "Stock and kits", path: "/shop/stock" },
    { label: "Cutting", path: "/shop/cutting" },
    { label: "Machine settings", path: "/shop/settings" },
  ],
  shows: ["tool", "booking", "incident", "stock", "cut list", "gate"],
  commands: [bookings, cuts, kits, safety, settings, stock, tools, withdrawals],
  below: "everyone",
  waiting,
  home,
  search,
  downloads: {
    incidents: { act: incidentActs.keep, make: incidentsTable },
    shopping: { act: stockActs.keep, make: shoppingTable },
  },
};
