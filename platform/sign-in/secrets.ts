import "server-only";
import { createHash, randomBytes } from "node:crypto";

export const digest = (secret: string): string => createHash("sha256").update(secret).digest("hex");

export const newSecret = () => randomBytes(24).toString("base64url");

export const newPassword = () => randomBytes(9).toString("base64url");
