import { useState } from "react";

const make = () => crypto.randomUUID();

/** An id that is made where something is typed, so that sent twice it is one; and what makes the next one's. */
export function useNewId(): readonly [id: string, renew: () => void] {
  const [id, set] = useState(make);
  return [id, () => set(make())];
}
