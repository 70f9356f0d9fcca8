import type { ReactNode } from "react";
import { cx } from "./classes";
import Link from "./link";

/** A page's head: title, one sentence below it, and what can be done. */
export function PageHead({ title, note, children }: { title: ReactNode; note?: ReactNode; children?: ReactNode }) {
  return (
    <header className="mb-4 flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
      <div className="min-w-0">
        <h1>{title}</h1>
        {note && <p className="mt-0.5 text-soft">{note}</p>}
      </div>
      {children && <div className="no-print flex flex-wrap items-center gap-2">{children}</div>}
    </header>
  );
}

const looks = {
  plain: "border-[#a59a8a] bg-sheet text-ink hover:border-ink",
  main: "border-iron bg-iron text-white hover:bg-[#85301a]",
  quiet:
    "border-transparent text-soft hover:text-ink underline decoration-line underline-offset-3 hover:decoration-ink",
  danger: "border-iron text-iron bg-sheet hover:bg-iron-wash",
} as const;
export const buttonClass = (look: keyof typeof looks = "plain") =>
  cx(
    "inline-flex items-center justify-center gap-1.5 rounded-sm border text-[13px] whitespace-nowrap " +
      "disabled:opacity-55",
    look === "quiet" ? "px-0.5 py-0.5 font-[500]" : "min-h-8 px-3 py-1 font-[600]",
    looks[look],
  );

export function LinkButton({
  href,
  look = "plain",
  children,
  download,
}: {
  href: string;
  look?: keyof typeof looks;
  children: ReactNode;
  download?: boolean;
}) {
  return download ? (
    <a href={href} className={buttonClass(look)} download>
      {children}
    </a>
  ) : (
    <Link href={href} className={buttonClass(look)}>
      {children}
    </Link>
  );
}

/** What stands where a list is empty: what it will hold and the next step. */
export function Empty({ title, children, action }: { title: string; children?: ReactNode; action?: ReactNode }) {
  return (
    <div className="sheet max-w-[62ch] px-5 py-4">
      <h2>{title}</h2>
      {children && <div className="mt-1 text-soft">{children}</div>}
      {action && <div className="mt-3">{action}</div>}
    </div>
  );
}

export function Sheet({
  title,
  aside,
  children,
  className,
}: {
  title?: ReactNode;
  aside?: ReactNode;
  children: ReactNode;
  className?: string;
}) {
  return (
    <section className={cx("sheet px-4 py-3", className)}>
      {(title || aside) && (
        <div className="mb-2 flex flex-wrap items-baseline justify-between gap-x-4">
          <h2>{title}</h2>
          {aside && <div className="text-sm text-soft">{aside}</div>}
        </div>
      )}
      {children}
    </section>
  );
}

/** A caution where the act happens: short, with who must be asked. */
export function Caution({ children }: { children: ReactNode }) {
  return (
    <div role="note" className="flex gap-3 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm">
      <strong className="shrink-0 text-ochre-deep">Take care</strong>
      <div>{children}</div>
    </div>
  );
}
