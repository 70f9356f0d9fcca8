export interface RosterRow {
  /** Line in the file or paste, counted from 1 with the heading. */
  readonly line: number;
  readonly name: string;
  readonly section: string;
  readonly email: string | null;
}

export interface RosterProblem {
  readonly line: number;
  readonly message: string;
}

export interface RosterPreview {
  readonly rows: readonly RosterRow[];
  readonly problems: readonly RosterProblem[];
}

export const rosterLimit = 2000;
const headings: Record<"name" | "first" | "last" | "section" | "email", string[]> = {
  name: ["name", "student", "student name", "full name"],
  first: ["first", "first name", "given name", "forename"],
  last: ["last", "last name", "surname", "family name"],
  section: ["section", "class", "group", "period"],
  email: ["email", "e-mail", "mail", "login"],
};

/**
 * Reads the cells of a roster: a heading row naming a name (or first and last name), and optionally section and email.
 * `sections` are the project's section names; with a single section the column may be missing. Problems name their
 * line; nothing is guessed.
 * @example readRoster([["Name", "Section"], ["Ada Quill", "3"]], ["3", "5"]).rows[0]?.name // => "Ada Quill"
 * @example
 * readRoster([["Who"], ["x"]], ["3"]).problems[0]?.message
 * // => "The heading row has no column “Name” (or “First name” and “Last name”). It has: Who."
 */
export function readRoster(cells: readonly (readonly string[])[], sections: readonly string[]): RosterPreview {
  const head = (cells[0] ?? []).map((c) => c.trim().toLowerCase());
  const column = (key: keyof typeof headings) => head.findIndex((h) => headings[key].includes(h));
  const at = {
    name: column("name"),
    first: column("first"),
    last: column("last"),
    section: column("section"),
    email: column("email"),
  };
  if (cells.length === 0) return { rows: [], problems: [{ line: 1, message: "The list is empty." }] };
  if (at.name < 0 && (at.first < 0 || at.last < 0))
    return {
      rows: [],
      problems: [
        {
          line: 1,
          message:
            "The heading row has no column “Name” (or “First name” and “Last name”). It has: " +
            `${(cells[0] ?? []).filter((c) => c.trim()).join(", ") || "nothing"}.`,
        },
      ],
    };
  if (at.section < 0 && sections.length !== 1)
    return {
      rows: [],
      problems: [
        {
          line: 1,
          message:
            `The heading row has no column “Section”, and the project has ${sections.length} sections: ` +
            `${sections.join(", ")}.`,
        },
      ],
    };
  const body = cells.slice(1);
  if (body.length > rosterLimit)
    return {
      rows: [],
      problems: [
        {
          line: rosterLimit + 2,
          message: `The list has ${body.length} rows; a project takes at most ${rosterLimit}. Split it by section.`,
        },
      ],
    };
  const rows: RosterRow[] = [];
  const problems: RosterProblem[] = [];
  const names = new Map<string, { line: number; email: string | null }>();
  const mails = new Map<string, number>();
  body.forEach((cell, i) => {
    const line = i + 2;
    const get = (k: number) => (k < 0 ? "" : (cell[k] ?? "").trim().replace(/\s+/g, " "));
    if (cell.every((c) => c.trim() === "")) return;
    const name = at.name >= 0 ? get(at.name) : `${get(at.first)} ${get(at.last)}`.trim();
    const email = get(at.email).toLowerCase() || null;
    const wanted = at.section < 0 ? sections[0]! : get(at.section);
    const section = sections.find((s) => s.toLowerCase() === wanted.toLowerCase());
    const bad = (message: string) => problems.push({ line, message });
    if (!name) return bad("The name is missing.");
    if (name.length > 120) return bad(`The name is ${name.length} characters long; 120 is the most.`);
    if (/[\u0000-\u001f\ufffd]/.test(name))
      return bad(
        `“${name.replace(/[\u0000-\u001f]/g, "")}” holds characters that could not be read. Save the file as UTF-8.`,
      );
    if (!section)
      return bad(
        wanted ? `There is no section “${wanted}”. Sections: ${sections.join(", ")}.` : `${name} has no section.`,
      );
    if (email && !/^[^\s@]+@[^\s@]+\.[^\s@]+$/.test(email)) return bad(`“${email}” is not an email address.`);
    const twin = names.get(`${section}/${name.toLowerCase()}`);
    if (twin && !(email && twin.email))
      return bad(
        `${name} stands already in line ${twin.line}. If these are two students, give each an email, or add the ` +
          "second one by hand.",
      );
    if (email && mails.has(email)) return bad(`${email} stands already in line ${mails.get(email)}.`);
    names.set(`${section}/${name.toLowerCase()}`, { line, email });
    if (email) mails.set(email, line);
    rows.push({ line, name, section, email });
  });
  return { rows, problems };
}
