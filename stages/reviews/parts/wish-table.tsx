import { DataTable } from "@/ui/table";
import type { WishLine } from "../view/wishes";

/** What the client found of each wish. */
export const WishTable = ({ wishes }: { wishes: readonly WishLine[] }) => (
  <DataTable
    caption="What the client found"
    columns={[
      { key: "wish", text: "Wish" },
      { key: "found", text: "Found" },
      { key: "word", text: "In a word" },
    ]}
    rows={wishes.map((w) => ({
      id: w.requirementId,
      cells: {
        wish: {
          value: `${w.words} ${w.code}`,
          show: (
            <>
              {w.words} <span className="text-sm text-soft">{w.code}</span>
            </>
          ),
        },
        found: w.outcome || { value: "not ticked", className: "text-soft" },
        word: w.word,
      },
    }))}
  />
);
