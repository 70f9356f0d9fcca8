import { checkProtocol, type ProtocolDefinition } from "@/core/run/protocol";
import { fits, ofParent, ofProject, type Table } from "@/platform/registry/table";
import { protocolDefinition } from "./schema";

export const benchTables: readonly Table[] = [
  ofProject("protocol"),
  ofParent("protocol_version", "protocol_id", "protocol", {
    check: { definition: fits(protocolDefinition, (v) => checkProtocol(v as unknown as ProtocolDefinition)) },
  }),
  ofProject("safety_check"),
  ofProject("run"),
  ofParent("reading", "run_id", "run"),
];
