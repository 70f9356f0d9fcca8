import { trainerKind } from "@/core/vocabulary/handbook";
import { DataTable } from "@/ui/table";
import type { Skill } from "../view/trainer";

/** How each student does, kind by kind: right of answered; what asks for help stands out. */
export function TrainedTable({
  students,
}: {
  students: readonly {
    readonly id: string;
    readonly name: string;
    readonly section: string;
    readonly skills: readonly Skill[];
  }[];
}) {
  return (
    <DataTable
      caption="Exercises answered by each student"
      columns={[
        { key: "name", text: "Student" },
        { key: "section", text: "Section" },
        ...trainerKind.options.map((o) => ({ key: o.value, text: o.label })),
      ]}
      rows={students.map((s) => ({
        id: s.id,
        cells: {
          name: s.name,
          section: s.section,
          ...Object.fromEntries(
            s.skills.map((k) => [
              k.kind,
              {
                value: k.needs ? `${k.text}, needs it` : k.text,
                className: k.needs ? "font-[650] text-iron" : undefined,
              },
            ]),
          ),
        },
      }))}
    />
  );
}
