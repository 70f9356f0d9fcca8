import "server-only";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { toolActs } from "./acts";

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
