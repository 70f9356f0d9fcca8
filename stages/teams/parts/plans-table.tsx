import { instant } from "@/platform/pages/dates";
import { DataTable } from "@/ui/table";
import type { PlanLine } from "../view/forming";
import { AdoptPlan, UndoPlan, WithdrawPlan } from "./buttons";

/** The plans that were kept, side by side: what each comes to in the class as it is now. */
export function PlansTable({ lines }: { lines: readonly PlanLine[] }) {
  return (
    <DataTable
      caption="Plans"
      columns={[
        { key: "plan", text: "Plan", className: "min-w-36 font-[600]" },
        { key: "idea", text: "First idea" },
        { key: "wish", text: "Wishes" },
        { key: "skill", text: "Skill cost", num: true },
        { key: "lone", text: "Alone", num: true },
        { key: "all", text: "Cost in all", num: true, className: "font-[600]" },
        { key: "act", text: "", className: "whitespace-nowrap" },
      ]}
      rows={lines.map(({ plan, report, idea, wish }) => ({
        id: plan.id,
        cells: {
          plan: {
            value: plan.name,
            show: (
              <>
                {plan.name}
                <span className="block text-sm font-normal text-soft">
                  {instant(plan.madeAt)}, {plan.madeBy}
                </span>
              </>
            ),
          },
          idea,
          wish,
          skill: { value: plan.cost.skill, show: plan.cost.skill.toFixed(1) },
          lone: { value: plan.cost.lone, show: plan.cost.lone.toFixed(0) },
          all: { value: plan.cost.all, show: plan.cost.all.toFixed(1) },
          act: {
            value: "",
            show: plan.adoptedAt ? (
              <>
                <span className="font-[650] text-moss">adopted</span> <UndoPlan id={plan.id} />
              </>
            ) : (
              <>
                {report && <AdoptPlan id={plan.id} />} <WithdrawPlan id={plan.id} />
              </>
            ),
          },
        },
      }))}
    />
  );
}
