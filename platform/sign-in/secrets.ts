import "server-only";
import { createHash, randomBytes, randomInt } from "node:crypto";
import { hash } from "@node-rs/argon2";

export const digest = (secret: string): string => createHash("sha256").update(secret).digest("hex");

export const newSecret = () => randomBytes(24).toString("base64url");

// Small letters and digits that nobody takes for one another on a printed slip.
const letters = "abcdefghjkmnpqrstuvwxyz23456789";

const newPassword = () =>
  Array.from({ length: 3 }, () => Array.from({ length: 4 }, () => letters[randomInt(letters.length)]).join("")).join(
    "-",
  );

/** A first password with its hash: made before a command's transaction, since hashing takes its time. */
export async function firstPassword(): Promise<{ password: string; passwordHash: string }> {
  const password = newPassword();
  return { password, passwordHash: await hash(password) };
}
