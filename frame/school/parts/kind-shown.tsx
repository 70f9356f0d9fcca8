import type { ReactNode } from "react";
import type { TemplateShown } from "@/stages/templates/view";
import { Fold } from "@/ui/fold";
import { Markdown } from "@/ui/markdown";

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <section className="border-t border-line py-2">
    <h3 className="text-sm font-[600] text-soft">{title}</h3>
    {children}
  </section>
);

/** What a kind of project brings. */
export const KindShown = ({ kind }: { kind: TemplateShown }) => (
  <aside aria-label="What comes with it">
    <p>{kind.about}</p>
    <p className="mb-2 text-sm text-soft">
      {kind.holds}. In a project of another length the plan is stretched to its sessions.
    </p>
    <Part title="Brief">
      <Fold label="read it">
        <div className="mt-1">
          <Markdown>{kind.brief}</Markdown>
        </div>
      </Fold>
    </Part>
    <Part title="Requirements">
      <ul>
        {kind.requirements.map((r) => (
          <li key={r.statement} className="grid grid-cols-[4rem_1fr]">
            <span className="text-soft">{r.priority}</span>
            {r.statement}
          </li>
        ))}
      </ul>
    </Part>
    <Part title="Protocols">{kind.protocols.join(", ")}</Part>
    {kind.events.length > 0 && <Part title="Contest">{kind.events.join(", ")}</Part>}
    <Part title="Milestones">
      <ol>
        {kind.plan.map((m) => (
          <li key={m.title} className="grid grid-cols-[6rem_1fr]">
            <span className="text-soft">session {m.session}</span>
            <span>
              {m.title}
              {m.gate && <span className="text-soft"> · gate before material</span>}
            </span>
          </li>
        ))}
      </ol>
    </Part>
    <Part title="Grading">{kind.grading.join(" · ")}</Part>
    <Part title="Tools, with their cautions">
      <ul className="grid gap-1">
        {kind.tools.map((t) => (
          <li key={t.name}>
            <strong className="font-[600]">{t.name}</strong>: {t.caution}
          </li>
        ))}
      </ul>
      <p className="mt-1 text-soft">The school’s rules, local codes and the trained adult in the room come first.</p>
    </Part>
  </aside>
);
