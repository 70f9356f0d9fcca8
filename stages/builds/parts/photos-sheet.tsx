import { Sheet } from "@/ui/page";
import { Pin } from "@/ui/pin";
import type { Build } from "../queries/builds";
import type { FailureRow } from "../queries/failures";
import { PhotoUpload, RemovePhoto } from "./buttons";

/** A build's photos, with a pin where something failed: its number is that of the list of failures. */
export const PhotosSheet = ({
  build,
  failures,
  mine,
}: {
  build: Build;
  failures: readonly FailureRow[];
  mine: boolean;
}) => (
  <Sheet title="Photos" aside={mine && <PhotoUpload buildId={build.id} />}>
    {build.photos.length === 0 ? (
      <p className="text-soft">None yet. A photo of each generation is worth more than its description.</p>
    ) : (
      <div className="grid grid-cols-2 gap-3">
        {build.photos.map((f) => (
          <figure key={f.id}>
            <span className="relative block">
              <img
                src={`/api/file/${f.id}`}
                alt={f.caption || `${build.team} G${build.number}`}
                className="w-full rounded-sm border border-line"
                loading="lazy"
              />
              {failures.map(
                (x, i) =>
                  x.photoId === f.id && <Pin key={x.id} x={Number(x.pinX)} y={Number(x.pinY)} label={String(i + 1)} />,
              )}
            </span>
            <figcaption className="flex justify-between text-sm text-soft">
              {f.caption}
              {mine && <RemovePhoto id={f.id} />}
            </figcaption>
          </figure>
        ))}
      </div>
    )}
  </Sheet>
);
