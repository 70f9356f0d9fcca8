import { checkProtocol, type ProtocolDefinition } from "@/core/run/protocol";
import { fits, ofParent, ofProject, type Table } from "@/platform/registry/table";
import { protocolDefinition } from "./schema";
import { unpacked, wrongBlock } from "./view/samples";

export const benchTables: readonly Table[] = [
  ofProject("protocol"),
  ofParent("protocol_version", "protocol_id", "protocol", {
    check: { definition: fits(protocolDefinition, (v) => checkProtocol(v as unknown as ProtocolDefinition)) },
  }),
  ofProject("safety_check"),
  ofProject("run"),
  ofParent("reading", "run_id", "run"),
  ofProject("series"),
  ofParent("series_block", "series_id", "series", {
    check: { samples: (v) => wrongBlock(unpacked(String(v)), Number.NEGATIVE_INFINITY) },
  }),
];
