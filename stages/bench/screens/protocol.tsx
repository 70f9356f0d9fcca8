import { notFound } from "next/navigation";
import { projectPage } from "@/platform/pages/page";
import { PageHead } from "@/ui/page";
import { protocolActs } from "../acts";
import { ProtocolForm } from "../parts/protocol-form";
import { WithdrawProtocol } from "../parts/withdraw-protocol";
import { protocolsOf } from "../queries";

const emptyProtocol = {
  conditions: [],
  measures: [],
  constants: [],
  derived: [],
  primary: "",
  better: "more",
  policy: { school: "best", n: 3, foul: "out" },
  safety: [],
};

export async function ProtocolScreen({ slug, id }: { slug: string; id?: string }) {
  const { frame } = await projectPage(slug, protocolActs.edit);
  const x = id ? (await protocolsOf(frame.project.id)).find((v) => v.id === id) : undefined;
  if (id && !x) notFound();
  return (
    <>
      <PageHead
        title={
          x ? (
            <>
              {x.name} <span className="font-normal text-soft">v{x.number}</span>
            </>
          ) : (
            "New protocol"
          )
        }
        note={x?.runs ? `${x.runs} runs lean on this protocol.` : "How the test is done, the same way every time."}
      >
        {x && !x.runs && <WithdrawProtocol id={x.id} goTo={`/p/${slug}/bench`} />}
      </PageHead>
      <ProtocolForm
        projectId={frame.project.id}
        slug={slug}
        id={x?.id}
        version={x?.version ?? 0}
        used={(x?.runs ?? 0) > 0}
        defaults={{
          name: x?.name ?? "",
          whatChanged: "",
          definition: x?.definition ?? emptyProtocol,
          safetyText: (x?.definition.safety ?? []).join("\n"),
        }}
      />
    </>
  );
}
