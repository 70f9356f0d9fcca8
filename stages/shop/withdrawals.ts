import "server-only";
import { teamOf } from "@/platform/command/command";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { bookingActs, cutActs, incidentActs, stockActs, toolActs } from "./acts";
import { ofCutList } from "./queries/stock";

/** A tool goes with its sign-offs and with the lines of gates that ask for them. */
export const withdrawTool = withdrawal({
  name: "withdrawTool",
  kind: "tool",
  table: "tool",
  act: toolActs.sign,
  label: "x.name",
  needsReason: true,
});

export const withdrawSetting = withdrawal({
  name: "withdrawSetting",
  kind: "machine setting",
  table: "machine_setting",
  act: toolActs.sign,
  label: "x.machine || ', ' || x.material",
});

export const withdrawBooking = withdrawal({
  name: "withdrawBooking",
  kind: "booking",
  table: "booking",
  act: bookingActs.ask,
  subject: (sql, id) => teamOf(sql, "booking", id),
  label: "x.what",
});

export const withdrawCheck = withdrawal({
  name: "withdrawCheck",
  kind: "machine check",
  table: "machine_check",
  act: toolActs.sign,
  label: "x.on_date || ', ' || x.checked_by",
});

export const withdrawIncident = withdrawal({
  name: "withdrawIncident",
  kind: "incident",
  table: "incident",
  act: incidentActs.keep,
  label: "x.kind || ', ' || x.on_date",
  needsReason: true,
});

/** Stock goes with what came and went of it. */
export const withdrawStockItem = withdrawal({
  name: "withdrawStockItem",
  kind: "stock",
  table: "stock_item",
  act: stockActs.keep,
  label: "x.name",
});

export const withdrawStockMove = withdrawal({
  name: "withdrawStockMove",
  kind: "stock movement",
  table: "stock_move",
  act: stockActs.keep,
  label: "x.kind || ' ' || x.amount",
});

export const withdrawKit = withdrawal({
  name: "withdrawKit",
  kind: "kit",
  table: "kit",
  act: stockActs.keep,
  label: "x.name",
});

export const withdrawKitOut = withdrawal({
  name: "withdrawKitOut",
  kind: "kit that was handed out",
  table: "kit_out",
  act: stockActs.keep,
  label: "x.out_on",
});

export const withdrawCutList = withdrawal({
  name: "withdrawCutList",
  kind: "cut list",
  table: "cut_list",
  act: cutActs.edit,
  subject: ofCutList,
  label: "x.title",
});
