import { useEffect, useState } from "react";

/**
 * Whether the page has come alive. Until then fields stay closed: what is typed into a page that is still loading would
 * be lost.
 */
export function useReady(): boolean {
  const [ready, setReady] = useState(false);
  useEffect(() => setReady(true), []);
  return ready;
}
