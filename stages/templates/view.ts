import { type TemplateKind, templateKind } from "@/core/vocabulary/project";
import { plural } from "@/platform/registry/words";
import { kinds } from "./kinds";
import { type Template, template } from "./schema";

/** What a template brings, as the page of a new project tells it. */
export interface TemplateShown {
  readonly name: string;
  readonly about: string;
  readonly sessions: number;
  /** In a line. */
  readonly holds: string;
  readonly project: Template["project"];
  readonly brief: string;
  readonly requirements: readonly { readonly statement: string; readonly priority: string }[];
  readonly protocols: readonly string[];
  readonly events: readonly string[];
  readonly plan: readonly { readonly title: string; readonly session: number; readonly gate: boolean }[];
  /** Parts of the grade with their percent. */
  readonly grading: readonly string[];
  readonly tools: readonly { readonly name: string; readonly caution: string }[];
}

const shown = (t: Template): TemplateShown => ({
  name: t.name,
  about: t.about,
  sessions: t.sessions,
  holds: [
    plural(t.sessions, "class session"),
    plural(t.requirements.length, "requirement"),
    plural(t.protocols.length, "protocol"),
    t.events.length ? plural(t.events.length, "event") : "no contest",
  ].join(" · "),
  project: t.project,
  brief: t.brief,
  requirements: t.requirements.map(({ statement, priority }) => ({ statement, priority: priority ?? "" })),
  protocols: t.protocols.map((p) => p.name),
  events: t.events.flatMap((e) => (e.attempts ?? e.matches ?? e.judged)?.name ?? []),
  plan: t.milestones.map((m) => ({ title: m.title, session: m.session, gate: m.gate !== undefined })),
  grading: (t.scheme?.components ?? []).map((x) => `${x.name} ${x.weight} %`),
  tools: t.tools.map(({ name, caution }) => ({ name, caution })),
});

/** The kinds of project to begin with, in their order, each with what it brings. */
export const kindsShown: readonly (TemplateShown & { readonly key: TemplateKind })[] = templateKind.values.map(
  (key) => ({
    key,
    ...shown(template.validateSync(kinds[key])),
  }),
);
