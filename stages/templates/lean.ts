import { outlineOf } from "@/core/grades/outline";
import { type ComponentSource, mapLeaves, type SchemeDefinition, withoutPeers } from "@/core/grades/scheme";

/** By which names what a scheme leans on is found again; nothing where it is no more. */
export interface Names {
  protocolName(id: string): string;
  eventName(id: string): string;
  titleOf(id: string): string | undefined;
}

/** A component's source with names for ids; a mark that is entered where what it leaned on is no more. */
function namedSource(source: ComponentSource, names: Names): ComponentSource {
  const entered: ComponentSource = { kind: "entered" };
  if (source.kind === "milestone") {
    const milestone = names.titleOf(source.milestone);
    return milestone ? { ...source, milestone } : entered;
  }
  if (source.kind !== "points") return source;
  const { measure } = source;
  if ("event" in measure) {
    const event = names.eventName(measure.event);
    return event ? { ...source, measure: { event } } : entered;
  }
  if (!("protocol" in measure)) return source;
  const protocol = names.protocolName(measure.protocol);
  return protocol ? { ...source, measure: { ...measure, protocol } } : entered;
}

/** A grading scheme as a template holds it: an outline, named, without the ratings of a class. */
export function lean({ peers: _, components, ...rest }: SchemeDefinition, names: Names): object {
  const named = mapLeaves(components, (c) => ({ ...c, source: namedSource(c.source, names) }));
  return { ...rest, components: outlineOf(withoutPeers(named)) };
}
