/** A file to be handed to the browser. */
export interface FileToSave {
  readonly name: string;
  readonly text: string | Uint8Array<ArrayBuffer>;
  /** A notebook's, where it is not said. */
  readonly type?: string;
}

/** Hands a file to the browser. */
export function download({ name, text, type = "application/json" }: FileToSave): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = name;
  link.click();
  // Some browsers begin to read only after the click.
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}
