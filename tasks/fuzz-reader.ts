// Reads what it is sent with the parser that is named; whoever started it watches how long that takes.
import { byteParsers } from "@/stages/testing/fuzz/parsers";
import { textParsers } from "./fuzz-parsers";

process.on("message", async ({ name, input }: { name: string; input: string | Uint8Array }) => {
  try {
    if (typeof input === "string") await textParsers.find((p) => p.name === name)!.read(input);
    else await byteParsers.find((p) => p.name === name)!.read(input);
    process.send!({ wrong: null });
  } catch (error) {
    process.send!({ wrong: error instanceof Error ? (error.stack ?? error.message) : String(error) });
  }
});
process.send!({ wrong: null });
