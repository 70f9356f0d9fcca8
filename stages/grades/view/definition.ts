import { type OutlineRow, treeOf } from "@/core/grades/outline";
import { checkScheme, type SchemeDefinition } from "@/core/grades/scheme";

/** What a form of the scheme holds: the parts as an outline. */
export interface TypedDefinition extends Omit<SchemeDefinition, "components"> {
  readonly components: readonly OutlineRow[];
}

/** The scheme that an outline makes, and what is wrong with it in words. */
export function definitionOf(typed: TypedDefinition): { definition: SchemeDefinition; wrong: string[] } {
  const { decimals, rounding, most, peers, letters } = typed;
  const tree = treeOf(typed.components);
  const definition: SchemeDefinition = {
    components: "wrong" in tree ? [] : tree.parts,
    decimals,
    ...(rounding && { rounding }),
    ...(most && { most }),
    ...(peers && { peers }),
    ...(letters?.length && { letters }),
  };
  return { definition, wrong: "wrong" in tree ? [tree.wrong] : checkScheme(definition) };
}
