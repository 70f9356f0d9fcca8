import { briefSections } from "@/core/brief/brief";
import type { BookletFacts } from "./booklet-queries";
import type { teamView } from "./view";

type TeamView = ReturnType<typeof teamView>;

/** A generation as a booklet prints it: what changed and why, what it reached, what it taught, and its picture. */
export interface BookletGeneration {
  readonly id: string;
  readonly number: number;
  readonly stage: string;
  readonly builtOn: string;
  readonly whatChanged: string;
  readonly why: string;
  readonly lessons: readonly string[];
  readonly reached: string | null;
  readonly mass: string | null;
  readonly picture: string | null;
  readonly failures: readonly { readonly id: string; readonly says: string }[];
}

/** A team's generations, the first first, each with what failed on it and what answered that. */
export function bookletGenerations(team: string, view: TeamView, facts: BookletFacts): BookletGeneration[] {
  return view.generations.toReversed().flatMap((g): BookletGeneration[] => {
    const b = facts.builds.find((x) => x.id === g.id);
    if (!b) return [];
    return [
      {
        id: g.id,
        number: g.number,
        stage: g.stage,
        builtOn: g.builtOn,
        whatChanged: g.whatChanged,
        why: b.why,
        lessons: [b.learned, b.good && `Good: ${b.good}`, b.notGood && `Not good: ${b.notGood}`].filter(
          (x): x is string => !!x,
        ),
        reached: g.counted?.shown ?? null,
        mass: g.mass,
        picture: b.picture,
        failures: facts.failures
          .filter((f) => f.teamId === team && f.build === g.number)
          .map((f) => ({
            id: f.id,
            says:
              f.mode +
              (f.cause ? ` (${f.cause})` : "") +
              (f.answeredBy === null ? ", not answered" : `, answered by G${f.answeredBy}`),
          })),
      },
    ];
  });
}

/** The parts of a brief that open a booklet: the need and the rules, as they were written last. */
export const opening = (brief: string) => briefSections(brief).filter((s) => s.body && /need|rule/i.test(s.title));
