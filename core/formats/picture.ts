import { sha256 } from "@noble/hashes/sha2.js";
import { bytesToHex } from "@noble/hashes/utils.js";
import { pictureId } from "../catalogue/ids";
import type { PictureId } from "../catalogue/ids";

/** Bytes of one picture, at most: what the app shrinks is a tenth of it. */
export const MOST_PICTURE_BYTES = 4_000_000;
/** How a JPEG begins. */
const JPEG = [0xff, 0xd8, 0xff] as const;
/** Half of the sum names a picture well enough: 128 bits. */
const ID_LENGTH = 32;

/**
 * The id of a picture: a sum over its bytes, so that the same picture is kept once and a damaged one is told.
 *
 * @returns 32 hexadecimal digits, the first half of the SHA-256 sum
 * Source: FIPS 180-4; computed by noble-hashes.
 */
export function idOfPicture(bytes: Uint8Array): PictureId {
  return pictureId(bytesToHex(sha256(bytes)).slice(0, ID_LENGTH));
}

/** Whether bytes are a picture as it is kept: a JPEG of a bearable size. */
export function isPicture(bytes: Uint8Array): boolean {
  return bytes.length <= MOST_PICTURE_BYTES && JPEG.every((byte, index) => bytes[index] === byte);
}
