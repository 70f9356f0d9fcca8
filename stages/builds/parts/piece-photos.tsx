import { RemovePhoto } from "./buttons";

/** What was photographed of a piece: its cheap trial, the cut that went wrong. */
export const PiecePhotos = ({
  name,
  photos,
  mine,
}: {
  name: string;
  photos: readonly { id: string; caption: string }[];
  mine: boolean;
}) =>
  photos.length > 0 && (
    <div className="mt-1 flex flex-wrap items-end gap-2">
      {photos.map((f) => (
        <span key={f.id} className="grid justify-items-start gap-0.5">
          <a href={`/api/file/${f.id}`}>
            <img
              src={`/api/file/${f.id}`}
              alt={`${name}: ${f.caption || "photo"}`}
              loading="lazy"
              className="h-12 rounded-sm border border-line"
            />
          </a>
          {mine && <RemovePhoto id={f.id} />}
        </span>
      ))}
    </div>
  );
