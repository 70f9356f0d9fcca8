import Link from "@/ui/link";
import { Empty, LinkButton } from "@/ui/page";

/** A project without teams: its first steps, in order. */
export function FirstSteps({
  slug,
  title,
  purpose,
  staff,
  done,
}: {
  slug: string;
  title: string;
  purpose: string;
  staff: boolean;
  done: { brief: boolean; needs: boolean; people: boolean };
}) {
  const steps = [
    {
      label: "Write the brief",
      href: "brief/edit",
      done: done.brief,
      why: "One page: the need, the rules, the dates, the safety rules.",
    },
    {
      label: "Turn it into requirements",
      href: "needs/new",
      done: done.needs,
      why: "Every rule with a number becomes a limit that builds and runs are checked against.",
    },
    {
      label: "Bring in the roster",
      href: "people",
      done: done.people,
      why: "From a file or pasted from a spreadsheet.",
    },
    { label: "Form teams", href: "teams", done: false, why: "By hand, or by a draw with its seed shown." },
  ];
  return (
    <>
      <h1>{title}</h1>
      <p className="mb-4 text-soft">{purpose}</p>
      {staff ? (
        <Empty
          title="The core log begins with teams"
          action={
            <LinkButton href={`/p/${slug}/${steps.find((s) => !s.done)!.href}`} look="main">
              {steps.find((s) => !s.done)!.label}
            </LinkButton>
          }
        >
          <p>
            One column a team, one layer a week: builds, runs, best values and reviews will stand here. Before that:
          </p>
          <ol className="mt-2 list-decimal pl-5 text-ink">
            {steps.map((s) => (
              <li key={s.href} className="py-0.5">
                <Link href={`/p/${slug}/${s.href}`} className="font-[600] hover:text-iron">
                  {s.label}
                </Link>
                {s.done ? " – done" : <span className="text-soft">. {s.why}</span>}
              </li>
            ))}
          </ol>
        </Empty>
      ) : (
        <Empty title="Teams are not formed yet">Read the brief meanwhile; your instructor forms the teams.</Empty>
      )}
    </>
  );
}
