"use client";

/** What was entered and is not on the server yet: it is sent by itself, or says why the server would not take it. */
export function Waiting<T extends { id: string }>({
  items,
  words,
  onRetry,
  onDrop,
}: {
  items: readonly { id: string; input: T; sent: boolean; problem?: string }[];
  words: (input: T) => string;
  onRetry: (id: string) => void;
  onDrop: (id: string) => void;
}) {
  const left = items.filter((x) => !x.sent);
  if (!left.length) return null;
  return (
    <ul aria-label="Waiting for the network" className="grid gap-1 border-l-4 border-ochre-deep pl-3 text-sm">
      {left.map((x) => (
        <li key={x.id} className="flex flex-wrap items-baseline gap-x-3">
          <span>{words(x.input)}</span>
          {x.problem ? (
            <>
              <span className="text-iron">{x.problem}</span>
              <button type="button" className="underline" onClick={() => onRetry(x.id)}>
                send again
              </button>
              <button type="button" className="underline" onClick={() => onDrop(x.id)}>
                give it up
              </button>
            </>
          ) : (
            <span className="text-soft">waits here, also through a reload, and is sent when the network is back</span>
          )}
        </li>
      ))}
    </ul>
  );
}
