"use server";
import { action } from "@/platform/command/perform";
import { addPhoto, saveBuild } from "./commands/builds";
import { removePhoto, withdrawBuild } from "./withdrawals";

export const saveBuildAction = action(saveBuild);

export const addPhotoAction = action(addPhoto);

export const removePhotoAction = action(removePhoto);

export const withdrawBuildAction = action(withdrawBuild);
