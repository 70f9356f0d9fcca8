"use client";

import { ActButton } from "@/ui/form/act-button";
import { PictureUpload } from "@/ui/picture";
import { addPhotoAction, removePhotoAction } from "../actions";

export const PhotoUpload = ({ buildId }: { buildId: string }) => (
  <PictureUpload action={addPhotoAction} input={{ buildId }} label="Photo file">
    Add a photo
  </PictureUpload>
);

export const RemovePhoto = ({ id }: { id: string }) => (
  <ActButton action={removePhotoAction} input={{ id }} look="quiet" confirm="The photo goes.">
    remove
  </ActButton>
);
