export const PICTURES_STORE = "pictures";

/** A picture by what is in it. */
export interface KeptPicture {
  readonly id: string;
  /** A JPEG. */
  readonly bytes: Uint8Array<ArrayBuffer>;
}
