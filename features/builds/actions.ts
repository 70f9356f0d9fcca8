"use server";
import { action } from "@/server/perform";
import * as builds from "@/data/builds";

export const saveBuildAction = action(builds.saveBuild);
export const addPhotoAction = action(builds.addPhoto);
export const removePhotoAction = action(builds.removePhoto);
