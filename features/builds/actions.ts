"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as builds from "@/data/builds";

export async function saveBuildAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof builds.saveBuild.run>>>> {
  return perform(builds.saveBuild, input, envelope);
}
export async function addPhotoAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof builds.addPhoto.run>>>> {
  return perform(builds.addPhoto, input, envelope);
}
export async function removePhotoAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof builds.removePhoto.run>>>> {
  return perform(builds.removePhoto, input, envelope);
}
