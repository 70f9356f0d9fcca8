import { LinkChoice } from "@/ui/link-choice";
import type { Protocol } from "../queries/runs";

/** Which protocol a page of the bench is about; nothing to choose where there is one. */
export function ProtocolChoice({
  protocols,
  chosen,
  hrefOf,
}: {
  protocols: readonly Protocol[];
  chosen: Protocol;
  hrefOf: (id: string) => string;
}) {
  if (protocols.length < 2) return null;
  return (
    <LinkChoice
      label="Protocol"
      options={protocols.map((p) => ({ value: p.id as string, label: p.name }))}
      chosen={chosen.id}
      hrefOf={hrefOf}
    />
  );
}
