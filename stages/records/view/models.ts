import type { KeptModel } from "../queries/kept";

/** How a kept model stands on a day: who has it, whether it is late, and who had it before. */
export function modelState(m: Pick<KeptModel, "loans" | "scrappedOn">, today: string) {
  const loan = m.loans.find((l) => l.backOn === null) ?? null;
  const earlier = m.loans.filter((l) => l.backOn !== null);
  return {
    loan,
    late: loan !== null && loan.dueOn !== null && loan.dueOn < today,
    earlier,
    gone: m.scrappedOn !== null,
    /** The loan that can be taken up again: only the last, and only while it is here. */
    again: loan === null && m.scrappedOn === null ? earlier[0]?.id : undefined,
  };
}
