/** The address of a working: what it is of, in which project, and which one. */
export const workingAt = (project: string, of: string, which: Readonly<Record<string, string>>): string =>
  `/api/working?${new URLSearchParams({ project, of, ...which })}`;
