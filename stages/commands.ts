import "server-only";
import type { Command } from "@/platform/command/command";
import { stages } from "./index";

const isCommand = (x: unknown): x is Command<unknown, unknown> =>
  typeof x === "object" && x !== null && "schema" in x && "act" in x && "run" in x;

/** Every command of the application by its name: what the permission test walks. */
export const commands: Readonly<Record<string, Command<unknown, unknown>>> = Object.fromEntries(
  stages
    .flatMap((s) => s.commands.flatMap((m) => Object.values(m)))
    .filter(isCommand)
    .map((c) => [c.name, c]),
);
