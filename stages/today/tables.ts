import { ofProject, type Table } from "@/platform/registry/table";

export const todayTables: readonly Table[] = [ofProject("flag_aside")];
