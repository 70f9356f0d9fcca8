"use client";

import { Upload } from "./upload";

export const ImportForm = () => <Upload kind="import" />;

export const RestoreForm = () => <Upload kind="restore" />;
