// A logger's file away from the page's own thread: its columns first, then its samples packed into blocks.
import Papa from "papaparse";
import { type ColumnChoice, guessColumns, readColumns } from "@/core/series/columns";
import { thinned } from "@/core/series/take";
import { packed } from "@/stages/bench/view/samples";

let rows: string[][] = [];

self.onmessage = (e: MessageEvent<{ text: string } | { choice: ColumnChoice; start: number; perBlock: number }>) => {
  if ("text" in e.data) {
    rows = Papa.parse<string[]>(e.data.text.replace(/^\uFEFF/, ""), { skipEmptyLines: "greedy" }).data;
    return self.postMessage({ columns: guessColumns(rows), rows: rows.length, sample: rows.slice(0, 12) });
  }
  const { choice, start, perBlock } = e.data;
  const { t, v, ...told } = readColumns(rows.slice(start), choice, start + 1);
  const blocks: string[] = [];
  if (!told.problem)
    for (let i = 0; i < t.length; i += perBlock) blocks.push(packed(t, v, i, Math.min(t.length, i + perBlock)));
  self.postMessage({ ...told, samples: t.length, ends: t.at(-1) ?? 0, curve: thinned({ t, v }, 600), blocks });
};
