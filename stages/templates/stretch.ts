/**
 * A template's session in a project of another length: as far into it, rounded, at least the first and at most the
 * last; 0 where no class meets.
 */
export const stretched = (session: number, of: number, sessions: number): number =>
  sessions === 0 ? 0 : Math.min(sessions, Math.max(1, Math.round((session / of) * sessions)));

/** The same of a length: at least one session. */
export const stretchedLength = (length: number, of: number, sessions: number): number =>
  Math.max(1, Math.round((length / of) * (sessions || of)));
