"use server";
import { action } from "@/platform/command/perform";
import { addPhoto, saveBuild } from "./commands/builds";
import { closeFailure, saveFailure } from "./commands/failures";
import { copyPartLines, savePartLine } from "./commands/parts";
import { copyPieces, listPieces, markPiece, releasePiece, savePiece } from "./commands/pieces";
import { removePhoto, withdrawBuild, withdrawFailure, withdrawPartLine, withdrawPiece } from "./withdrawals";

export const saveBuildAction = action(saveBuild);

export const addPhotoAction = action(addPhoto);

export const removePhotoAction = action(removePhoto);

export const withdrawBuildAction = action(withdrawBuild);

export const saveFailureAction = action(saveFailure);

export const closeFailureAction = action(closeFailure);

export const withdrawFailureAction = action(withdrawFailure);

export const savePartLineAction = action(savePartLine);

export const copyPartLinesAction = action(copyPartLines);

export const withdrawPartLineAction = action(withdrawPartLine);

export const savePieceAction = action(savePiece);

export const markPieceAction = action(markPiece);

export const releasePieceAction = action(releasePiece);

export const listPiecesAction = action(listPieces);

export const copyPiecesAction = action(copyPieces);

export const withdrawPieceAction = action(withdrawPiece);
