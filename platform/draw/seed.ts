import "server-only";
import { randomBytes } from "node:crypto";

/** A seed that the program proposes: 64 bits, so that every order can come out; people may type a shorter one. */
export const proposedSeed = (): string => randomBytes(8).readBigUInt64BE().toString();
