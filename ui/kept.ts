/** What this browser keeps under a name; null where there is nothing, or its storage is closed. */
export function readKept(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}

/** Keeps a text under a name, or nothing any more. Where storage is full or closed it lives as long as the page. */
export function keep(key: string, text: string | null): void {
  try {
    if (text) localStorage.setItem(key, text);
    else localStorage.removeItem(key);
  } catch {
    // The page itself still holds it.
  }
}

/** The object that this browser keeps under a name; null where there is none that can be read. */
export function keptObject<T extends object>(key: string): T | null {
  try {
    const kept: unknown = JSON.parse(readKept(key) ?? "null");
    return typeof kept === "object" ? (kept as T | null) : null;
  } catch {
    return null;
  }
}
