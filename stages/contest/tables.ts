import { ofParent, ofProject, type Table } from "@/platform/registry/table";

export const contestTables: readonly Table[] = [ofProject("event"), ofParent("entry", "event_id", "event")];
