/** A line of its own: what is given to it is done one after the other, in the order given, also behind a failure. */
export function line(): <T>(work: () => Promise<T>) => Promise<T> {
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    const next = last.then(work);
    last = next.catch(() => {});
    return next;
  };
}
