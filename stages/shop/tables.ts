import { ofProject, type Table } from "@/platform/registry/table";
import { readContents, writeContents } from "./view/kits";

/** What is wrong with a kit's contents that come in with a bundle. */
const contents = (value: unknown): string | null => {
  const lines = Array.isArray(value) ? value : [{}];
  const fit = lines.every((l) => typeof l?.name === "string" && Number.isInteger(l.count));
  if (!fit) return "A kit's contents are names with counts.";
  const read = readContents(writeContents(lines));
  return lines.length === 0 || read.ok ? null : read.message;
};

export const shopTables: readonly Table[] = [
  ofProject("tool", { passes: true }),
  ofProject("machine_setting", { passes: true }),
  ofProject("tool_sign_off", { people: ["person_id"], erase: ["DELETE FROM tool_sign_off WHERE person_id = :person"] }),
  ofProject("booking", { people: ["operator_id"] }),
  ofProject("machine_check"),
  // What happened to people stays in the school.
  ofProject("incident", { stays: true }),
  ofProject("stock_item"),
  ofProject("stock_move"),
  ofProject("kit", { check: { contents } }),
  ofProject("kit_out", { check: { contents } }),
  ofProject("cut_list"),
];
