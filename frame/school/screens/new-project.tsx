import { notFound } from "next/navigation";
import { can } from "@/core/access/can";
import { PlainShell } from "@/frame/shell/parts/plain-shell";
import { requirePerson } from "@/platform/pages/page";
import { projectActs } from "@/platform/project/acts";
import { kindsShown } from "@/stages/templates/view";
import { LinkButton, PageHead } from "@/ui/page";
import { KindList } from "../parts/kind-list";
import { KindShown } from "../parts/kind-shown";
import { NewProjectForm } from "../parts/new-project-form";

/** A new project: empty, with a file, or with one of the kinds, whose parts stand beside the form. */
export async function NewProjectScreen({ kind }: { kind?: string }) {
  const actor = await requirePerson();
  if (!can(actor, projectActs.create, {})) notFound();
  const chosen = kindsShown.find((k) => k.key === kind);
  return (
    <PlainShell name={actor.name} admin={actor.admin} head={actor.head}>
      <PageHead
        title={chosen ? `New project: ${chosen.name.toLowerCase()}` : "New project"}
        note={
          chosen
            ? "What stands beside the form is made with it, and can be changed later: people and places are made up."
            : "Everything can be changed later."
        }
      >
        {chosen && <LinkButton href="/new">Begin otherwise</LinkButton>}
      </PageHead>
      <div className="grid items-start gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <NewProjectForm key={chosen?.key ?? ""} template={chosen?.key} begun={chosen?.project} />
        {chosen ? <KindShown kind={chosen} /> : <KindList kinds={kindsShown} />}
      </div>
    </PlainShell>
  );
}
