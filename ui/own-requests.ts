const own = new Set<string>();

/** Remembers that this page sent a request: it shows the answer itself and need not load again when it is told. */
export function sentByUs(request: string): string {
  own.add(request);
  if (own.size > 200) own.delete(own.values().next().value!);
  return request;
}

/** Whether a notice speaks of a request of this page. */
export const isOurs = (request: string | null): boolean => request !== null && own.has(request);
