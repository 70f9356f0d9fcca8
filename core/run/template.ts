import type { ProtocolDefinition } from "./protocol";

/** A kind of test, ready to be changed: what it is for, its protocol, and one set of readings to try it on. */
export interface Template {
  readonly key: string;
  readonly name: string;
  /** When it fits, in a line. */
  readonly fits: string;
  readonly definition: ProtocolDefinition;
  /** Readings of one run by symbol, as they are typed. */
  readonly example: Readonly<Record<string, string>>;
}
