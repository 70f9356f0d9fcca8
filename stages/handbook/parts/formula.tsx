import { formulaPieces } from "../view/formula";

/** A formula as a book prints it: names slanted, their numbers low, powers high. */
export function Formula({ of }: { of: string }) {
  return (
    <span className="whitespace-pre-wrap">
      {formulaPieces(of).map(({ kind, text, low }, i) => {
        const key = `${i} ${text}`;
        if (kind === "power") return <sup key={key}>{text}</sup>;
        if (kind === "name")
          return (
            <i key={key}>
              {text}
              {low && <sub className="not-italic">{low}</sub>}
            </i>
          );
        return <span key={key}>{text}</span>;
      })}
    </span>
  );
}
