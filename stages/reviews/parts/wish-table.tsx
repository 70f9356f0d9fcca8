import type { WishLine } from "../view/wishes";

/** What the client found of each wish. */
export const WishTable = ({ wishes }: { wishes: readonly WishLine[] }) => (
  <div className="overflow-x-auto" role="region" tabIndex={0} aria-label="What the client found">
    <table className="table">
      <thead>
        <tr>
          <th>Wish</th>
          <th>Found</th>
          <th>In a word</th>
        </tr>
      </thead>
      <tbody>
        {wishes.map((w) => (
          <tr key={w.requirementId}>
            <td>
              {w.words} <span className="text-sm text-soft">{w.code}</span>
            </td>
            <td>{w.outcome || <span className="text-soft">not ticked</span>}</td>
            <td>{w.word}</td>
          </tr>
        ))}
      </tbody>
    </table>
  </div>
);
