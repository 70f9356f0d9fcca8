"use client";

import { useState } from "react";
import type { PictureMark } from "@/platform/files/schema";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { useSend } from "@/ui/form/send";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { buttonClass } from "@/ui/page";
import { PictureUpload } from "@/ui/picture";
import { Pin, PinPad, type Place } from "@/ui/pin";
import { addEntryPictureAction, markEntryPictureAction, removeEntryPictureAction } from "../actions";
import { newMark } from "../schema";

const { TextField } = fieldsOf(newMark);

export interface EntryPicture {
  readonly id: string;
  readonly caption: string;
  readonly marks: readonly PictureMark[];
}

const pinsOf = (marks: readonly PictureMark[]) =>
  marks.map((m, i) => <Pin key={`${m.x} ${m.y} ${m.text}`} x={m.x} y={m.y} label={String(i + 1)} />);

/** The next mark of a picture: a place is chosen on it, then said what is to be seen there. */
function Marking({ picture, onLeave }: { picture: EntryPicture; onLeave: () => void }) {
  const [at, setAt] = useState<Place | null>(null);
  return (
    <div className="grid gap-2">
      <PinPad
        src={`/api/file/${picture.id}`}
        alt={picture.caption || "The picture"}
        at={at}
        ask="Put a mark: press on the picture, or use the arrow keys"
        pins={pinsOf(picture.marks)}
        onPut={setAt}
      />
      {at && (
        <ActionForm
          key={picture.marks.length}
          schema={newMark}
          action={(input, how) =>
            markEntryPictureAction(
              {
                id: picture.id,
                caption: picture.caption,
                marks: [...picture.marks, { ...at, text: (input as { text: string }).text }],
              },
              how,
            )
          }
          defaults={{ text: "" }}
          submit={`Put mark ${picture.marks.length + 1}`}
          look="plain"
          inline
          onDone={() => setAt(null)}
        >
          <TextField name="text" label="What is to be seen there" className="w-72" />
        </ActionForm>
      )}
      <p>
        <button type="button" className={buttonClass("quiet")} onClick={onLeave}>
          done
        </button>
      </p>
    </div>
  );
}

function Picture({ picture, own, date }: { picture: EntryPicture; own: boolean; date: string }) {
  const [marking, setMarking] = useState(false);
  const { send, busy, note } = useSend(markEntryPictureAction);
  const without = (i: number) =>
    void send({ id: picture.id, caption: picture.caption, marks: picture.marks.filter((_, k) => k !== i) });
  return (
    <figure className="max-w-[420px] break-inside-avoid">
      {marking ? (
        <Marking picture={picture} onLeave={() => setMarking(false)} />
      ) : (
        <span className="relative block">
          <img
            src={`/api/file/${picture.id}`}
            alt={picture.caption || `Picture of ${date}`}
            className="w-full rounded-sm border border-line"
            loading="lazy"
          />
          {pinsOf(picture.marks)}
        </span>
      )}
      <figcaption className="text-sm">
        {picture.caption && <span className="text-soft">{picture.caption}</span>}
        <ol>
          {picture.marks.map((m, i) => (
            <li key={`${m.x} ${m.y} ${m.text}`} className="flex flex-wrap items-baseline gap-x-2">
              <strong className="font-[650]">{i + 1}</strong>
              {m.text}
              {own && (
                <button
                  type="button"
                  disabled={busy}
                  className={`${buttonClass("quiet")} no-print`}
                  onClick={() => without(i)}
                >
                  take mark {i + 1} off
                </button>
              )}
            </li>
          ))}
        </ol>
        {own && !marking && (
          <span className="no-print flex flex-wrap gap-x-3">
            <button type="button" className={buttonClass("quiet")} onClick={() => setMarking(true)}>
              mark it
            </button>
            <WithdrawButton action={removeEntryPictureAction} id={picture.id} look="quiet">
              take the picture out
            </WithdrawButton>
          </span>
        )}
        {note && (
          <span role="alert" className="block text-iron">
            {note}
          </span>
        )}
      </figcaption>
    </figure>
  );
}

/** The pictures of an entry with their marks; its student adds, marks and takes out. */
export const EntryPictures = ({
  entryId,
  pictures,
  own,
  date,
}: {
  entryId: string;
  pictures: readonly EntryPicture[];
  own: boolean;
  date: string;
}) => (
  <div className="mt-1.5 grid gap-2">
    {pictures.length > 0 && (
      <div className="flex flex-wrap gap-4">
        {pictures.map((p) => (
          <Picture key={p.id} picture={p} own={own} date={date} />
        ))}
      </div>
    )}
    {own && (
      <div>
        <PictureUpload action={addEntryPictureAction} input={{ entryId }} label={`Picture for ${date}`} look="quiet">
          add a picture or a photographed sketch
        </PictureUpload>
      </div>
    )}
  </div>
);
