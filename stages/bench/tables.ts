import { checkProtocol, type ProtocolDefinition } from "@/core/run/protocol";
import { fits, ofParent, ofProject, type Table } from "@/platform/registry/table";
import { protocolDefinition } from "./schema";
import { unpacked, wrongBlock } from "./view/samples";

export const benchTables: readonly Table[] = [
  ofProject("protocol", { passes: true }),
  ofParent("protocol_version", "protocol_id", "protocol", {
    passes: true,
    check: { definition: fits(protocolDefinition, (v) => checkProtocol(v as unknown as ProtocolDefinition)) },
  }),
  ofProject("safety_check"),
  ofProject("run", { passes: true }),
  ofParent("reading", "run_id", "run", { passes: true }),
  ofProject("series"),
  ofParent("series_block", "series_id", "series", {
    check: { samples: (v) => wrongBlock(unpacked(String(v)), Number.NEGATIVE_INFINITY) },
  }),
];
