// What the world of a test has of a shop: a shared machine with bookings and a check, an incident, stock, kits, cuts.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { askBooking } from "@/stages/shop/commands/bookings";
import { keepCutList } from "@/stages/shop/commands/cuts";
import { handOutKit, saveKit } from "@/stages/shop/commands/kits";
import { recordSetting } from "@/stages/shop/commands/machine-settings";
import { checkMachine, reportIncident } from "@/stages/shop/commands/safety";
import { addStockItem, moveStock } from "@/stages/shop/commands/stock";
import { saveTool } from "@/stages/shop/commands/tools";
import { ok } from "./database";

/** What was tried at a machine. */
export const settingTried = {
  machine: "Laser cutter",
  material: "Birch plywood",
  thickness: "3",
  settings: "60 %, 18 mm/s",
  outcome: "worked",
  seen: "Edges brown",
};

/** A machine that teams share, looked at each day. */
export const sharedMachine = { name: "Band saw", shared: true, months: 6, checks: "Guard down\nStop tried" };

export const bookingAsked = { what: "Frames", material: "6 mm plywood", minutes: 20, needBy: "2027-03-20" };

export const incidentTold = { kind: "near miss", onDate: "2027-03-01", what: "The blade jumped." };

export const stockKept = { name: "Plywood 3 mm", form: "sheets", size: "600 × 400 mm", price: "6.8", low: "2" };

export const cutsTyped = {
  title: "Frames",
  kind: "sheets",
  way: "edge",
  kerf: "2",
  border: "5",
  blanks: "Plywood; 600 × 400; 2",
  pieces: "Side; 300 × 200; 2\nFoot; 100 × 80; 4",
};

/** The shop of a project, written by its instructor and a member of team `a`. */
export async function aShop(boss: Actor, mate: Actor, projectId: string, a: string) {
  const [setting, booking, check, incident, stock, move, kit, kitOut, cuts] = Array.from({ length: 9 }, () =>
    randomUUID(),
  ) as [string, string, string, string, string, string, string, string, string];
  await ok(recordSetting, mate, { ...settingTried, id: setting, projectId });
  const { id: machine } = await ok(saveTool, boss, { ...sharedMachine, projectId });
  await ok(askBooking, mate, { ...bookingAsked, id: booking, toolId: machine, teamId: a });
  await ok(checkMachine, mate, { id: check, toolId: machine, lines: ["Guard down", "Stop tried"] });
  await ok(reportIncident, mate, { ...incidentTold, id: incident, projectId });
  await ok(addStockItem, boss, { ...stockKept, id: stock, projectId });
  await ok(moveStock, boss, { id: move, itemId: stock, kind: "bought", amount: "5" });
  await ok(saveKit, boss, { id: kit, projectId, name: "Plumbing", contents: "4 × clamp\n1 × tape" });
  await ok(handOutKit, boss, { id: kitOut, kitId: kit, teamId: a });
  await ok(keepCutList, mate, { ...cutsTyped, id: cuts, projectId, teamId: a });
  return { setting, machine, booking, check, incident, stock, move, kit, kitOut, cuts };
}
