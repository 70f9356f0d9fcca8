import { briefSections } from "@/core/brief/brief";
import type { BookletFacts } from "./booklet-queries";
import type { teamView } from "./view";

type TeamView = ReturnType<typeof teamView>;

/** A generation as a booklet prints it: with why it changed, what it taught, its picture, and what failed on it. */
export type BookletGeneration = TeamView["generations"][number] & {
  readonly why: string;
  readonly lessons: readonly string[];
  readonly picture: string | null;
  readonly failures: readonly { readonly id: string; readonly says: string }[];
};

/** A team's generations, the first first, each with what failed on it and what answered that. */
export function bookletGenerations(team: string, view: TeamView, facts: BookletFacts): BookletGeneration[] {
  return view.generations.toReversed().flatMap((g): BookletGeneration[] => {
    const b = facts.builds.find((x) => x.id === g.id);
    if (!b) return [];
    return [
      {
        ...g,
        why: b.why,
        lessons: [b.learned, b.good && `Good: ${b.good}`, b.notGood && `Not good: ${b.notGood}`].filter(
          (x): x is string => !!x,
        ),
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
