import type { Entry } from "../queries";
import { TakeBack } from "./countersign";

/** Who has countersigned an entry, in which version, and whom it still waits for. */
export const Signs = ({
  signs,
  version,
  own,
  when,
}: {
  signs: Entry["signs"];
  /** The entry's newest version. */
  version: number;
  /** The reader wrote it, and may take it back. */
  own: boolean;
  when: (at: string) => string;
}) =>
  signs.length > 0 && (
    <ul className="mt-1 text-sm">
      {signs.map((s) => (
        <li key={s.id}>
          {s.signedAt === null ? (
            <span className="text-soft">shown to {s.partner}, not signed yet</span>
          ) : (
            <>
              Countersigned by {s.partner}, {when(s.signedAt)}
              {s.number !== version && <span className="text-iron">, before it was amended</span>}
            </>
          )}{" "}
          {own && <TakeBack id={s.id} partner={s.partner} />}
        </li>
      ))}
    </ul>
  );
