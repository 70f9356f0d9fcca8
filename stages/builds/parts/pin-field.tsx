"use client";

import { useFormContext } from "react-hook-form";
import { PinPad } from "@/ui/pin";

/** Where on the chosen photo it failed: pressed with the pointer, or moved with the arrow keys. */
export function PinField({ photos }: { photos: readonly { id: string; caption: string }[] }) {
  const form = useFormContext();
  const photo = photos.find((p) => p.id === form.watch("photoId"));
  const [x, y] = [form.watch("pinX") as number | undefined, form.watch("pinY") as number | undefined];
  if (!photo) return null;
  return (
    <div className="grid gap-1">
      <PinPad
        src={`/api/file/${photo.id}`}
        alt={photo.caption || "The chosen photo"}
        at={x === undefined || y === undefined ? null : { x, y }}
        ask="Put a pin where it failed: press on the photo, or use the arrow keys"
        onPut={(at) => {
          form.setValue("pinX", at.x, { shouldDirty: true });
          form.setValue("pinY", at.y, { shouldDirty: true });
        }}
      />
      <p className="text-sm text-soft">Press where it failed; arrow keys move the pin.</p>
    </div>
  );
}
