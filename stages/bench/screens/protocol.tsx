import { notFound } from "next/navigation";
import type { ProtocolDefinition } from "@/core/run/protocol";
import { shelf } from "@/core/run/shelf";
import { projectPage } from "@/platform/pages/page";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { Fold } from "@/ui/fold";
import Link from "@/ui/link";
import { PageHead } from "@/ui/page";
import { protocolActs } from "../acts";
import { ProtocolForm } from "../parts/protocol-form";
import { WithdrawProtocol } from "../parts/withdraw-protocol";
import { isLeanedOn, lastReadings, protocolsOf } from "../queries/runs";
import { consequenceOf, typedProtocol } from "../view/protocol-form";

const emptyProtocol: ProtocolDefinition = {
  conditions: [],
  measures: [],
  constants: [],
  derived: [],
  primary: "",
  better: "more",
  policy: { school: "best", n: 3, foul: "out" },
  safety: [],
};

/** A protocol, new or changed; a new one starts empty or from the shelf. */
export async function ProtocolScreen({ slug, id, from }: { slug: string; id?: string; from?: string }) {
  const { frame } = await projectPage(slug, protocolActs.edit);
  const x = id ? (await protocolsOf(frame.project.id)).find((v) => v.id === id) : undefined;
  if (id && !x) notFound();
  const template = x ? undefined : shelf.find((t) => t.key === from);
  const used = x !== undefined && (await isLeanedOn(x.versionId));
  const base = `/p/${slug}/bench/protocol`;
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
        note={
          x?.runs
            ? `${x.runs} ${x.runs === 1 ? "run leans" : "runs lean"} on this protocol.`
            : "How the test is done, the same way every time."
        }
      >
        {x && !x.runs && <WithdrawProtocol id={x.id} goTo={`/p/${slug}/bench`} />}
      </PageHead>
      {!x && (
        <Fold
          label={template ? `Started from: ${template.name}` : "Start from a kind of test"}
          start={!template}
          className="mb-4"
          labelClass="font-[600]"
        >
          <ul className="mt-2 grid gap-x-6 gap-y-1 sm:grid-cols-2 lg:grid-cols-3">
            {shelf.map((t) => (
              <li key={t.key}>
                <Link
                  href={`${base}?from=${t.key}`}
                  aria-current={t.key === template?.key ? "true" : undefined}
                  className="font-[600] hover:text-iron"
                >
                  {t.name}
                </Link>
                <span className="block text-sm text-soft">{t.fits}</span>
              </li>
            ))}
          </ul>
          <p className="mt-2 text-sm text-soft">
            Everything in it can be changed. What is below is replaced when another is taken.
          </p>
        </Fold>
      )}
      <ProtocolForm
        key={template?.key ?? ""}
        projectId={frame.project.id}
        slug={slug}
        id={x?.id}
        version={x?.version ?? 0}
        used={used}
        example={template?.example ?? (x ? await lastReadings(x.versionId) : {})}
        consequence={x && used ? consequenceOf(x, await requirementsOf(frame.project.id)) : ""}
        defaults={{
          name: x?.name ?? template?.name ?? "",
          whatChanged: "",
          ...typedProtocol(x?.definition ?? template?.definition ?? emptyProtocol),
        }}
      />
    </>
  );
}
