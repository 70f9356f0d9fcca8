"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { buttonClass } from "@/ui/page";
import { importBundleAction, restoreSchoolAction } from "../actions";

/** A file sent whole; its answer is shown in place. */
export function Upload({ kind }: { kind: "import" | "restore" }) {
  const router = useRouter();
  const [note, setNote] = useState<{ bad: boolean; text: string } | null>(null);
  const [busy, setBusy] = useState(false);
  const send = async (form: FormData) => {
    const file = form.get("file");
    if (file instanceof File && file.size > 60_000_000)
      return setNote({
        bad: true,
        text: "This file is larger than 60 MB. Use ./ironstone import or restore on the server.",
      });
    setBusy(true);
    setNote(null);
    try {
      const r = kind === "import" ? await importBundleAction(form) : await restoreSchoolAction(form);
      if (!r.ok) return setNote({ bad: true, text: r.message });
      if (kind === "import") router.push(`/p/${(r.value as { slug: string }).slug}`);
      else router.push("/sign-in");
      router.refresh();
    } catch {
      setNote({ bad: true, text: "The file did not arrive whole. Nothing was changed; send it again." });
    } finally {
      setBusy(false);
    }
  };
  return (
    <form action={send} className="grid max-w-[460px] gap-3">
      <label className="grid gap-1">
        <span className="text-[12.5px] font-[600]">{kind === "import" ? "Bundle" : "Backup"}</span>
        <input type="file" name="file" accept=".zip,application/zip" className="input py-1" />
      </label>
      {kind === "restore" && (
        <label className="grid gap-1">
          <span className="text-[12.5px] font-[600]">
            Write restore to confirm: everything that is here now is replaced
          </span>
          <input name="confirm" className="input" autoComplete="off" />
        </label>
      )}
      <div className="flex items-center gap-3">
        <button type="submit" disabled={busy} className={buttonClass(kind === "import" ? "main" : "danger")}>
          {busy ? "Working…" : kind === "import" ? "Import" : "Restore"}
        </button>
      </div>
      <p role="status" className={note?.bad ? "text-iron" : "text-moss"}>
        {note?.text}
      </p>
    </form>
  );
}
