import { randomUUID } from "node:crypto";
import type { Line, Role } from "./role";
import { bookingAsked, cutsTyped, incidentTold, settingTried, stockKept } from "./world-shop";

const staff: Role[] = ["owner", "co"];
const team: Role[] = ["owner", "co", "teammate"];
const everyone: Role[] = [...team, "other team"];

/** The commands of the shop, for the matrix of permissions. */
export const shop: Record<string, Line> = {
  recordSetting: { may: everyone, input: (w) => ({ ...settingTried, id: randomUUID(), projectId: w.projectId }) },
  editSetting: { may: staff, input: (w) => ({ ...settingTried, id: w.setting, version: 1, outcome: "failed" }) },
  withdrawSetting: { may: staff, input: (w) => ({ id: w.setting }) },
  askBooking: {
    may: team,
    input: (w) => ({ ...bookingAsked, id: randomUUID(), toolId: w.machine, teamId: w.a }),
  },
  editBooking: { may: team, input: (w) => ({ ...bookingAsked, id: w.booking, version: 1, minutes: 30 }) },
  placeBooking: { may: staff, input: (w) => ({ id: w.booking, version: 1, time: "", starts: 0 }) },
  planQueue: { may: staff, input: (w) => ({ toolId: w.machine }) },
  startBooking: { may: team, input: (w) => ({ id: w.booking, version: 1 }) },
  endBooking: { may: team, input: (w) => ({ id: w.booking, version: 1, used: 20, outcome: "done" }) },
  withdrawBooking: { may: team, input: (w) => ({ id: w.booking }) },
  checkMachine: {
    may: everyone,
    input: (w) => ({ id: randomUUID(), toolId: w.machine, lines: ["Guard down", "Stop tried"] }),
  },
  withdrawCheck: { may: staff, input: (w) => ({ id: w.check }) },
  reportIncident: { may: everyone, input: (w) => ({ ...incidentTold, id: randomUUID(), projectId: w.projectId }) },
  editIncident: {
    may: staff,
    input: (w) => ({ ...incidentTold, id: w.incident, version: 1, told: "Technician", changed: "New guard" }),
  },
  closeIncident: { may: staff, input: (w) => ({ id: w.incident, version: 1, closed: true }) },
  withdrawIncident: { may: staff, input: (w) => ({ id: w.incident, reason: "Twice" }) },
  addStockItem: {
    may: staff,
    input: (w) => ({ ...stockKept, id: randomUUID(), projectId: w.projectId, name: "Plywood 6 mm" }),
  },
  editStockItem: { may: staff, input: (w) => ({ ...stockKept, id: w.stock, version: 1, low: "4" }) },
  moveStock: { may: staff, input: (w) => ({ id: randomUUID(), itemId: w.stock, kind: "bought", amount: "3" }) },
  gotParts: { may: team, input: (w) => ({ partIds: [w.partLine], got: true }) },
  withdrawStockItem: { may: staff, input: (w) => ({ id: w.stock }) },
  withdrawStockMove: { may: staff, input: (w) => ({ id: w.move }) },
  saveKit: {
    may: staff,
    input: (w) => ({ id: randomUUID(), projectId: w.projectId, name: "Wiring", contents: "1 × stripper" }),
  },
  handOutKit: { may: staff, input: (w) => ({ id: randomUUID(), kitId: w.kit, teamId: w.b }) },
  countKit: { may: staff, input: (w) => ({ id: w.kitOut, version: 1, counted: [4, 1] }) },
  withdrawKit: { may: staff, input: (w) => ({ id: w.kit }) },
  withdrawKitOut: { may: staff, input: (w) => ({ id: w.kitOut }) },
  keepCutList: {
    may: team,
    input: (w) => ({ ...cutsTyped, id: randomUUID(), projectId: w.projectId, teamId: w.a }),
  },
  editCutList: { may: team, input: (w) => ({ ...cutsTyped, id: w.cuts, version: 1, kerf: "3" }) },
  withdrawCutList: { may: team, input: (w) => ({ id: w.cuts }) },
};
