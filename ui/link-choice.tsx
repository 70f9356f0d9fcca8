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

/** Which section a list shows; nothing where there is only one. */
export const SectionChoice = ({
  sections,
  chosen,
  base,
}: {
  sections: readonly { readonly id: string; readonly name: string }[];
  chosen: string | undefined;
  /** The page's address. */
  base: string;
}) =>
  sections.length > 1 && (
    <LinkChoice
      label="Section"
      options={[{ value: "", label: "all sections" }, ...sections.map((s) => ({ value: s.id, label: s.name }))]}
      chosen={chosen ?? ""}
      hrefOf={(id) => (id ? `${base}?section=${id}` : base)}
    />
  );

/** Whose records a list shows; nothing where there is only one team. */
export const TeamChoice = ({
  teams,
  chosen,
  base,
}: {
  teams: readonly { readonly id: string; readonly name: string }[];
  chosen: string | undefined;
  /** The page's address. */
  base: string;
}) =>
  teams.length > 1 && (
    <LinkChoice
      label="Team"
      options={[{ value: "", label: "all teams" }, ...teams.map((t) => ({ value: t.id, label: t.name }))]}
      chosen={chosen ?? ""}
      hrefOf={(id) => (id ? `${base}?team=${id}` : base)}
    />
  );
