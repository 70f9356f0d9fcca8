"use client";

import { useRouter } from "next/navigation";
import { type ReactNode, useState } from "react";
import { FileButton } from "./file-button";

/** Reads a chosen file as base64, for sending with a form's other values. */
export const asBase64 = (file: File): Promise<string> =>
  new Promise((resolve, reject) => {
    const r = new FileReader();
    r.onload = () => resolve(String(r.result).replace(/^data:[^,]*,/, ""));
    r.onerror = () => reject(r.error);
    r.readAsDataURL(file);
  });

/** Pictures one after the other; each is checked to be a picture and stored without its metadata. */
export function PictureUpload({
  action,
  input,
  label,
  look,
  children,
}: {
  action: (input: unknown) => Promise<{ ok: boolean; message?: string }>;
  input: object;
  label: string;
  look?: "plain" | "quiet";
  children: ReactNode;
}) {
  const router = useRouter();
  const [note, setNote] = useState("");
  const [busy, setBusy] = useState(false);
  const send = async (file: File) => {
    setBusy(true);
    setNote("");
    try {
      if (file.size > 25_000_000) return setNote("The picture is larger than 25 MB. Send a smaller one.");
      const r = await action({
        ...input,
        base64: await asBase64(file),
        caption: file.name.replace(/\.\w+$/, "").slice(0, 80),
      });
      setNote(r.ok ? "" : (r.message ?? ""));
      router.refresh();
    } catch {
      setNote("The picture did not arrive. Send it again.");
    } finally {
      setBusy(false);
    }
  };
  return (
    <span className="no-print inline-flex flex-wrap items-center gap-2">
      <FileButton label={label} accept="image/*" look={look} disabled={busy} onFile={send}>
        {busy ? "Sending…" : children}
      </FileButton>
      {note && (
        <span role="alert" className="text-sm text-iron">
          {note}
        </span>
      )}
    </span>
  );
}
