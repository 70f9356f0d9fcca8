"use client";

import type { ReactNode } from "react";
import { FileButton } from "./file-button";
import type { Send } from "./form/result";
import { useSend } from "./form/send";

/** Reads a chosen file as base64, for sending with a form's other values. */
export const asBase64 = (file: File): Promise<string> =>
  new Promise((resolve, reject) => {
    const r = new FileReader();
    r.onload = () => resolve(String(r.result).replace(/^data:[^,]*,/, ""));
    r.onerror = () => reject(r.error);
    r.readAsDataURL(file);
  });

/** Pictures one after the other; each is checked to be a picture and stored without its metadata. */
export function PictureUpload<T>({
  action,
  input,
  label,
  look,
  children,
}: {
  action: Send<T>;
  input: object;
  label: string;
  look?: "plain" | "quiet";
  children: ReactNode;
}) {
  const { send, busy, note, setNote } = useSend(action);
  async function add(file: File) {
    if (file.size > 25_000_000) return setNote("The picture is larger than 25 MB. Send a smaller one.");
    const caption = file.name.replace(/\.\w+$/, "").slice(0, 80);
    const base64 = await asBase64(file).catch(() => null);
    if (base64 === null) return setNote("This file cannot be read. Choose it again.");
    await send({ ...input, base64, caption });
  }
  return (
    <span className="no-print inline-flex flex-wrap items-center gap-2">
      <FileButton label={label} accept="image/*" look={look} disabled={busy} onFile={(file) => void add(file)}>
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
