import Link from "@/ui/link";
import { Sheet } from "@/ui/page";
import type { Piece } from "../queries/pieces";
import { madeWords } from "../view/pieces";

/** How far a build's pieces are, on its page. */
export const PiecesSheet = ({ href, pieces }: { href: string; pieces: readonly Piece[] }) => (
  <Sheet
    title="Pieces and makers"
    aside={
      <Link href={href} className="underline">
        {pieces.length ? "all of them" : "list its pieces"}
      </Link>
    }
  >
    <p className={pieces.length ? "" : "text-soft"}>{madeWords(pieces)}</p>
  </Sheet>
);
