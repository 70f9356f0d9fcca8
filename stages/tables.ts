import { ownTables } from "@/platform/bundle/own-tables";
import type { Table } from "@/platform/registry/table";
import { benchTables } from "./bench/tables";
import { briefTables } from "./brief/tables";
import { buildsTables } from "./builds/tables";
import { conceptsTables } from "./concepts/tables";
import { contestTables } from "./contest/tables";
import { gradesTables } from "./grades/tables";
import { handbookTables } from "./handbook/tables";
import { needsTables } from "./needs/tables";
import { notebookTables } from "./notebook/tables";
import { peopleTables } from "./people/tables";
import { planTables } from "./plan/tables";
import { recordsTables } from "./records/tables";
import { reviewsTables } from "./reviews/tables";
import { shopTables } from "./shop/tables";
import { teamsTables } from "./teams/tables";
import { todayTables } from "./today/tables";

/** Every table of every stage: what bundles carry and erasing clears. */
export const tables: readonly Table[] = [
  ...briefTables,
  ...needsTables,
  ...conceptsTables,
  ...teamsTables,
  ...todayTables,
  ...buildsTables,
  ...benchTables,
  ...reviewsTables,
  ...gradesTables,
  ...contestTables,
  ...recordsTables,
  ...planTables,
  ...shopTables,
  ...notebookTables,
  ...handbookTables,
  ...peopleTables,
  ...ownTables,
];
