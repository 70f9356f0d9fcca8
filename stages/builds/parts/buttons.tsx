"use client";

import { WithdrawButton } from "@/ui/form/withdraw-button";
import { PictureUpload } from "@/ui/picture";
import { addPhotoAction, removePhotoAction, withdrawBuildAction } from "../actions";

export const PhotoUpload = ({ buildId }: { buildId: string }) => (
  <PictureUpload action={addPhotoAction} input={{ buildId }} label="Photo file">
    Add a photo
  </PictureUpload>
);

export const RemovePhoto = ({ id }: { id: string }) => (
  <WithdrawButton action={removePhotoAction} id={id}>
    remove
  </WithdrawButton>
);

export const WithdrawBuild = ({ id, goTo }: { id: string; goTo: string }) => (
  <WithdrawButton
    action={withdrawBuildAction}
    id={id}
    says="The build leaves the record, and its runs, pictures and evidence with it."
    goTo={goTo}
  >
    Withdraw
  </WithdrawButton>
);
