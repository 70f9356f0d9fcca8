import { notFound } from "next/navigation";
import { projectPage } from "@/platform/pages/page";
import { LinkButton, PageHead } from "@/ui/page";
import { reviewActs } from "../acts";
import { WithdrawRubric } from "../parts/buttons";
import { RubricForm } from "../parts/rubric-form";
import { rubricsOf } from "../queries/reviews";
import { fourLevels, typedCriteria } from "../view/typed-rubric";

export async function RubricScreen({ slug, id }: { slug: string; id?: string }) {
  const { frame } = await projectPage(slug, reviewActs.plan);
  const r = id ? (await rubricsOf(frame.project.id)).find((x) => x.id === id) : undefined;
  if (id && !r) notFound();
  return (
    <>
      <PageHead
        title={
          r ? (
            <>
              {r.name} <span className="font-normal text-soft">v{r.number}</span>
            </>
          ) : (
            "New rubric"
          )
        }
        note="Reviews that are planned already keep the version that they were planned with."
      >
        {r && (
          <LinkButton href={`/p/${slug}/csv/rubric?id=${r.id}`} download>
            CSV
          </LinkButton>
        )}
        {r && <WithdrawRubric id={r.id} goTo={`/p/${slug}/reviews`} />}
      </PageHead>
      <RubricForm
        projectId={frame.project.id}
        slug={slug}
        id={r?.id}
        version={r?.version ?? 0}
        defaults={{
          name: r?.name ?? "",
          criteria: typedCriteria(r?.definition.criteria ?? []).concat(
            r ? [] : [{ key: "c1", name: "", weight: "1", levelText: fourLevels, individual: false }],
          ),
        }}
      />
    </>
  );
}
