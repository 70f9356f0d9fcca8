/** What else differs among the builds that are taken together: a caution, since it may have made the difference. */
export const Besides = ({ what }: { what: readonly string[] }) =>
  what.length > 0 && (
    <p className="mt-1 text-ochre-deep">
      Not an experiment: these builds also differ in {what.join(", ")}, and any of it may have made the difference.
    </p>
  );
