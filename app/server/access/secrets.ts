import { createHash, randomBytes, randomInt } from "node:crypto";

/** Without letters and figures that look alike when they are read aloud or copied by hand. */
const CODE_LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";
const CODE_LENGTH = 8;
const LINK_BYTES = 24;

/** A secret that goes into an address: 192 random bits. */
export const newLinkSecret = (): string => randomBytes(LINK_BYTES).toString("base64url");

/** A short code to type, in two groups: about 40 random bits, so it is short-lived and slowed down. */
export function newCode(): string {
  const letters = Array.from(
    { length: CODE_LENGTH },
    () => CODE_LETTERS[randomInt(CODE_LETTERS.length)],
  );
  return `${letters.slice(0, 4).join("")}-${letters.slice(4).join("")}`;
}

/** A code as it was meant: capitals, no spaces, one hyphen. */
export const codeAsTyped = (typed: string): string => {
  const letters = typed.toUpperCase().replaceAll(/[^A-Z0-9]/g, "");
  return `${letters.slice(0, 4)}-${letters.slice(4)}`;
};

/** What is kept of a secret. It is random and long, so that a fast hash is enough. */
export const hashOf = (secret: string): string =>
  createHash("sha256").update(secret).digest("base64url");
