import Link from "./link";

/** A choice among a few views of a page, each an address of its own: what is shown stands in the address bar. */
export function LinkChoice({
  label,
  options,
  chosen,
  hrefOf,
}: {
  /** What is chosen, for screen readers. */
  label: string;
  options: readonly { readonly value: string; readonly label: string }[];
  chosen: string;
  hrefOf: (value: string) => string;
}) {
  return (
    <nav aria-label={label} className="no-print text-soft">
      {options.map((o, i) => (
        <span key={o.value}>
          {i > 0 && " · "}
          <Link
            href={hrefOf(o.value)}
            aria-current={o.value === chosen ? "true" : undefined}
            className={o.value === chosen ? "font-[650] text-ink" : "hover:text-ink"}
          >
            {o.label}
          </Link>
        </span>
      ))}
    </nav>
  );
}

interface Narrowing {
  readonly chosen: string | undefined;
  /** The page's address. */
  readonly base: string;
}

type Named = readonly { readonly id: string; readonly name: string }[];

/** What a list is narrowed to, in the address under `name`; nothing where there is only one. */
const Narrow = ({ name, all, of, chosen, base }: Narrowing & { name: string; all: string; of: Named }) =>
  of.length > 1 && (
    <LinkChoice
      label={`${name[0]!.toUpperCase()}${name.slice(1)}`}
      options={[{ value: "", label: all }, ...of.map((x) => ({ value: x.id, label: x.name }))]}
      chosen={chosen ?? ""}
      hrefOf={(id) => (id ? `${base}?${name}=${id}` : base)}
    />
  );

/** Which section a list shows. */
export const SectionChoice = ({ sections, ...rest }: Narrowing & { sections: Named }) => (
  <Narrow name="section" all="all sections" of={sections} {...rest} />
);

/** Whose records a list shows. */
export const TeamChoice = ({ teams, ...rest }: Narrowing & { teams: Named }) => (
  <Narrow name="team" all="all teams" of={teams} {...rest} />
);
