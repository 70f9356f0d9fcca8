import { WithdrawButton } from "@/ui/form/withdraw-button";
import { removeRunPhotoAction } from "../actions";

/** What was seen at a run: its note, and its pictures, which open. */
export const RunSeen = ({
  note,
  photos,
  mine,
}: {
  note: string;
  photos: readonly { id: string; caption: string }[];
  mine: boolean;
}) => (
  <span className="mt-0.5 block text-sm text-ink">
    {note}
    {photos.length > 0 && (
      <span className="mt-1 flex flex-wrap gap-2">
        {photos.map((f) => (
          <span key={f.id} className="grid justify-items-start">
            <a href={`/api/file/${f.id}`} target="_blank" rel="noreferrer">
              <img
                src={`/api/file/${f.id}`}
                alt={f.caption || "Photo of the run"}
                loading="lazy"
                className="h-16 rounded-sm border border-line"
              />
            </a>
            {mine && (
              <WithdrawButton action={removeRunPhotoAction} id={f.id} name={f.caption || "photo of the run"}>
                remove
              </WithdrawButton>
            )}
          </span>
        ))}
      </span>
    )}
  </span>
);
