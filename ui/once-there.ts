"use client";

import { useEffect, useState } from "react";

/**
 * What a page loads once it stands, one time for all who ask.
 * @returns what fetches it, and a hook that gives it as soon as it is there: null until then, as on the server
 */
export function onceThere<T>(fetch: () => Promise<T>): { load: () => Promise<T>; useLoaded: () => T | null } {
  let got: T | null = null;
  const load = async () => {
    got ??= await fetch();
    return got;
  };
  const useLoaded = () => {
    const [there, setThere] = useState<T | null>(null);
    useEffect(() => {
      const show = (found: T) => setThere(() => found);
      if (got) show(got);
      else void load().then(show);
    }, []);
    return there;
  };
  return { load, useLoaded };
}
