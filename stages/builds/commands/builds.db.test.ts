import sharp from "sharp";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { readContent } from "@/platform/files/files";
import { ok, refused } from "@/stages/testing/database";
import type { World } from "@/stages/testing/world";
import { worldEach } from "@/stages/testing/world-each";
import { buildById } from "../queries/builds";
import { addPhoto } from "./builds";

const here = worldEach("Pump");
let boss: Actor;
let w: World;
beforeEach(() => {
  ({ boss, w } = here);
});

describe("builds and photos", () => {
  test("a photo is stored once, upright and without its metadata", async () => {
    const picture = await sharp({ create: { width: 60, height: 40, channels: 3, background: "#aa5533" } })
      .withExif({ IFD0: { Copyright: "somebody", Make: "camera" } })
      .jpeg()
      .toBuffer();
    const { id } = await ok(addPhoto, boss, { buildId: w.build, base64: picture.toString("base64") });
    const [use] = await db()<{ fileHash: string }[]>`SELECT file_hash FROM file_use WHERE id = ${id}`;
    const stored = await readContent(use!.fileHash);
    expect((await sharp(stored!.content).metadata()).exif).toBeUndefined();
    expect((await buildById(w.projectId, w.build))!.photos).toHaveLength(1);
  });
  test.each([
    ["text", Buffer.from("this is not a picture")],
    [
      "a picture cut short",
      async () =>
        (
          await sharp({ create: { width: 300, height: 300, channels: 3, background: "#123" } })
            .png()
            .toBuffer()
        ).subarray(0, 120),
    ],
  ])("%s is refused", async (_, source) => {
    const bytes = typeof source === "function" ? await source() : source;
    expect(await refused(addPhoto, boss, { buildId: w.build, base64: bytes.toString("base64") })).toMatchObject({
      fields: { base64: expect.stringContaining("not a picture") },
    });
  });
});
