import "server-only";
import type { RosterPreview } from "@/core/roster/roster";

export interface RosterLook extends RosterPreview {
  readonly warning: string | null;
  readonly known: number;
}
