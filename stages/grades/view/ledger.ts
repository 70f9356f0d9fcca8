import type { Student } from "@/stages/people/queries/students";
import type { GradebookRow } from "../queries/gradebook";
import type { LedgerLine } from "../queries/publications";

/** Grades as they are published: each with its tree, its arithmetic, and the facts to compute it from again. */
export const ledgerOf = (
  rows: readonly GradebookRow[],
  { round, teams }: { round?: string; teams: ReadonlyMap<string, readonly Student[]> },
): LedgerLine[] =>
  rows.map(({ student, grade, marks, facts, peer, explained }) => ({
    personId: student.id,
    name: student.name,
    section: student.section,
    team: student.team,
    grade: grade.value.grade,
    letter: grade.value.letter,
    working: grade.working,
    components: grade.value.parts.map(({ overridden, note: _, share: __, ...p }) => ({
      ...p,
      computed: overridden,
      reason: marks[p.key]?.reason ?? "",
      ...explained[p.key],
    })),
    facts,
    peers: round
      ? {
          round,
          factor: peer?.factor ?? null,
          members: (teams.get(student.teamId ?? "") ?? [student]).map((s) => s.id),
        }
      : null,
  }));
