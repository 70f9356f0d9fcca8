import type * as row from "../db/rows";
import "server-only";
import { createHash } from "node:crypto";
import { existsSync } from "node:fs";
import { mkdir, readFile, writeFile } from "node:fs/promises";
import { join } from "node:path";
import sharp, { type OutputInfo } from "sharp";
import { refuse } from "@/platform/command/command";
import { db, newId, type Tx } from "@/platform/db/db";

// Content-addressed files behind one small interface: bytes lie in the database, or in the folder IRONSTONE_FILES.
const folder = process.env.IRONSTONE_FILES;

const pathOf = (hash: string) => join(folder!, hash.slice(0, 2), hash);

export interface StoredFile {
  hash: string;
  mime: string;
  size: number;
  content: Buffer;
}

/** A picture as it will be stored. */
export interface Picture {
  readonly row: FileRow;
  readonly bytes: Buffer;
}

const mostPixels = 50_000_000;

// One picture at a time, however many are sent: each may take as much memory as a hundred pages.
let last: Promise<unknown> = Promise.resolve();

/**
 * Reads a picture before it is stored: its type is sniffed from its bytes, it is turned upright, shrunk to 2000 px and
 * written anew as JPEG, which drops all metadata (place and camera too).
 * Refuses what is not a picture, or cut short.
 */
export function readPicture(bytes: Buffer): Promise<Picture> {
  const mine = last.then(() => toJpeg(bytes));
  last = mine.catch(() => {});
  return mine;
}

async function toJpeg(bytes: Buffer): Promise<Picture> {
  let image: { data: Buffer; info: OutputInfo };
  try {
    const meta = await sharp(bytes, { failOn: "warning", limitInputPixels: mostPixels }).metadata();
    if (!["jpeg", "png", "webp", "gif", "avif", "heif", "tiff"].includes(meta.format ?? ""))
      throw new Error(meta.format);
    image = await sharp(bytes, { failOn: "warning", limitInputPixels: mostPixels })
      .rotate()
      .resize(2000, 2000, { fit: "inside", withoutEnlargement: true })
      .flatten({ background: "#ffffff" })
      .jpeg({ quality: 84, mozjpeg: false })
      .toBuffer({ resolveWithObject: true });
  } catch {
    refuse(
      "This file is not a picture that can be read, it was cut short, or it has more than 50 million points. Send a " +
        "JPEG, PNG or WebP photo.",
      "base64",
    );
  }
  const hash = createHash("sha256").update(image.data).digest("hex");
  return {
    row: { hash, mime: "image/jpeg", size: image.data.length, width: image.info.width, height: image.info.height },
    bytes: image.data,
  };
}

export interface FileRow {
  hash: string;
  mime: string;
  size: number;
  width: number | null;
  height: number | null;
}

/** Stores bytes under their hash; the same bytes are stored once. */
export async function writeContent(sql: Tx, row: FileRow, bytes: Buffer): Promise<void> {
  if (folder) {
    await mkdir(join(folder, row.hash.slice(0, 2)), { recursive: true });
    if (!existsSync(pathOf(row.hash))) await writeFile(pathOf(row.hash), bytes);
  }
  await sql`INSERT INTO file ${sql({ ...row, content: folder ? null : bytes })} ON CONFLICT (hash) DO NOTHING`;
}

/** A picture of something of a project, stored with its use; gives the use's id. */
export async function usePicture(
  sql: Tx,
  picture: { readonly row: FileRow; readonly bytes: Buffer },
  of: {
    readonly projectId: string;
    readonly caption: string;
    readonly addedBy: string;
    readonly buildId?: string;
    readonly pieceId?: string | null;
    readonly runId?: string;
    readonly conceptId?: string;
    readonly actionId?: string;
    readonly entryId?: string;
  },
): Promise<string> {
  await writeContent(sql, picture.row, picture.bytes);
  const id = newId();
  await sql`INSERT INTO file_use ${sql({ id, fileHash: picture.row.hash, ...of })}`;
  return id;
}

export async function readContent(hash: string, sql: Tx = db()): Promise<StoredFile | null> {
  const [f] = await sql<
    { hash: row.File["hash"]; mime: row.File["mime"]; size: row.File["size"]; content: Buffer | null }[]
  >`SELECT hash, mime, size, content FROM file WHERE hash = ${hash}`;
  if (!f) return null;
  if (f.content) return { ...f, content: f.content };
  return folder && existsSync(pathOf(hash)) ? { ...f, content: await readFile(pathOf(hash)) } : null;
}

export interface UseOfFile {
  readonly projectId: row.FileUse["projectId"];
  readonly hash: row.FileUse["fileHash"];
  /** Whose it alone is while concepts are hidden from each other. */
  readonly only: string | null;
  /** In whose notebook it stands. */
  readonly notebook: row.NotebookEntry["personId"] | null;
}

/** The project that a use of a file belongs to, and whose it is; null when there is no such use. */
export async function fileUse(id: string): Promise<UseOfFile | null> {
  const [u] = await db()<UseOfFile[]>`
    SELECT
      u.project_id, u.file_hash AS hash, (SELECT person_id FROM notebook_entry WHERE id = u.entry_id) AS notebook,
      CASE WHEN u.concept_id IS NOT NULL AND NOT coalesce(
        (p.settings->>'conceptsOpen')::boolean, false
      ) THEN coalesce(k.author_id::text, '') END AS only
    FROM file_use u
    JOIN project p ON p.id = u.project_id
    LEFT JOIN concept k ON k.id = u.concept_id
    WHERE u.id = ${id}
  `;
  return u ?? null;
}
