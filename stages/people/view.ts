/** Decodes a file's bytes: UTF-8, UTF-16 with a mark, else Windows-1252 and says so. */
export function decodeText(bytes: Uint8Array): { text: string; warning: string | null } {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return { text: new TextDecoder("utf-16le").decode(bytes), warning: null };
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return { text: new TextDecoder("utf-16be").decode(bytes), warning: null };
  try {
    return { text: new TextDecoder("utf-8", { fatal: true }).decode(bytes), warning: null };
  } catch {
    return {
      text: new TextDecoder("windows-1252").decode(bytes),
      warning: "The file is not UTF-8. It was read as Windows-1252: check names with accents before importing.",
    };
  }
}

const places: Readonly<Record<string, string>> = {
  notebook_version: "notebooks",
  note: "notes of interviews",
  statement: "statements",
  question: "questions",
  requirement_version: "requirements",
  change_request: "change requests",
  concept: "concepts",
  concept_claim: "concepts",
  build: "builds",
  run: "reasons and notes of runs",
  sheet: "review sheets",
  sheet_mark: "review sheets",
  review: "verdicts",
  action_item: "actions",
  brief_version: "the brief",
  file_use: "captions of pictures",
  audit: "reasons in the audit",
};

/** Where a text is found that still holds an erased student's name, in words. */
export const mentionPlace = ({ table, column }: { table: string; column: string }): string =>
  places[table] ?? `${table.replaceAll("_", " ")} (${column.replaceAll("_", " ")})`;
