import { projectPage } from "@/platform/pages/page";
import { PageHead } from "@/ui/page";
import { briefActs } from "../acts";
import { BriefForm } from "../parts/brief-form";
import { briefVersions } from "../queries";

const outline = (client: string) =>
  `## Need\n\n\n## Client\n\n${client}\n\n## Rules\n\n- \n\n## Deliverables\n\n- \n\n## Dates\n\n\n## ` +
  `Prizes\n\n\n## Safety\n\nThe school's workshop rules hold. Ask the instructor before using a tool ` +
  `for the first time.\n`;

export async function BriefEditScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, briefActs.edit);
  const [latest] = await briefVersions(frame.project.id);
  return (
    <>
      <PageHead
        title={latest ? "Edit the brief" : "Write the brief"}
        note="A new version is kept beside the old ones; students are asked to read it."
      />
      <BriefForm
        projectId={frame.project.id}
        slug={slug}
        baseNumber={latest?.number ?? 0}
        body={latest?.body ?? outline(frame.project.client)}
      />
    </>
  );
}
