import type { Flag } from "@/core/log/flags";
import { flagKind } from "@/core/vocabulary/flags";
import { instant } from "@/platform/pages/dates";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import Link from "@/ui/link";
import { withdrawAsideAction } from "../actions";
import type { FlagAside } from "../queries/flags";
import { AsideForm } from "./aside-form";

/** Why a team wants a look: each reason leads to where one looks, and can be put aside. */
export const Reasons = ({ slug, flags, may }: { slug: string; flags: readonly Flag[]; may: boolean }) => (
  <ul className="grid gap-1">
    {flags.map((f) => (
      <li key={f.kind + f.about} className="flex flex-wrap items-baseline gap-x-4">
        <Link href={`/p/${slug}/${flagKind.labels[f.kind]}?team=${f.team}`} className="hover:text-iron">
          {f.reason}
        </Link>
        {may && <AsideForm flag={f} />}
      </li>
    ))}
  </ul>
);

/** What was put aside, with what was said of it. */
export const PutAside = ({
  aside,
  teams,
  may,
}: {
  aside: readonly FlagAside[];
  teams: readonly { readonly id: string; readonly name: string }[];
  may: boolean;
}) => (
  <ul className="grid gap-1.5">
    {aside.map((a) => (
      <li key={a.id} className="flex flex-wrap items-baseline gap-x-4">
        <span>
          <strong className="font-[600]">{teams.find((t) => t.id === a.team)?.name}</strong>: {a.reason}
          <span className="block text-sm text-soft">
            “{a.note}” {a.by}, {instant(a.at)}
          </span>
        </span>
        {may && (
          <WithdrawButton action={withdrawAsideAction} id={a.id} name={a.reason} look="quiet">
            bring back
          </WithdrawButton>
        )}
      </li>
    ))}
  </ul>
);
