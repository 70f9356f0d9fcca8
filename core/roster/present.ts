interface Who {
  readonly name: string;
  readonly email: string | null;
}

/**
 * Which rows of a roster name somebody who is in the section already: by email, else by name where only one of the two
 * has an email. Two of one name with different emails are two people; nobody stands for two rows.
 * @param rows of one section, with emails in small letters
 * @param present who is in the section
 * @returns a yes or no for each row
 * @example
 * standing([{ name: "Ada Quill", email: "a2@x.org" }], [{ name: "ada quill", email: "a1@x.org" }])
 * // => [false]
 */
export function standing(rows: readonly Who[], present: readonly Who[]): boolean[] {
  const free = new Set(present);
  const take = (fits: (p: Who) => boolean) => {
    const found = [...free].find(fits);
    if (found) free.delete(found);
    return found !== undefined;
  };
  const byMail = rows.map((r) => r.email !== null && take((p) => p.email?.toLowerCase() === r.email));
  return rows.map(
    (r, i) =>
      byMail[i]! ||
      take((p) => p.name.toLowerCase() === r.name.toLowerCase() && (r.email === null || p.email === null)),
  );
}
