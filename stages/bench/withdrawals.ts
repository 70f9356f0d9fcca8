import "server-only";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { protocolActs, runActs } from "./acts";

export const withdrawProtocol = withdrawal({
  name: "withdrawProtocol",
  kind: "protocol",
  table: "protocol",
  act: protocolActs.edit,
  label: "x.name",
  held: {
    run: "Runs were made under this protocol, so it stays. Set the runs aside if they do not count.",
    event: "An event of the contest is measured by this protocol, so it stays.",
  },
});

export const withdrawSafetyCheck = withdrawal({
  name: "withdrawSafetyCheck",
  kind: "safety check",
  table: "safety_check",
  act: runActs.void,
  label: "(SELECT t.name FROM team t WHERE t.id = x.team_id) || ', ' || x.on_date",
});
