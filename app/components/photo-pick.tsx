import { useState } from "react";
import type { ReactNode } from "react";
import { Camera } from "lucide-react";
import { FileButton } from "./file-button";

/** A photograph picked for its colours; it stays in the page. */
export interface PickedPhoto {
  readonly photo: ImageBitmap | null;
  /** The button that picks one. */
  readonly button: ReactNode;
  /** What is said of a file that is no picture. */
  readonly fault: ReactNode;
}

/** @param label what it is a photograph of, for whoever listens */
export function usePickedPhoto(label: string, words: string): PickedPhoto {
  const [photo, setPhoto] = useState<ImageBitmap | null>(null);
  const [wrong, setWrong] = useState(false);
  const take = (file: File) =>
    void createImageBitmap(file).then(
      (bitmap) => {
        setWrong(false);
        setPhoto(bitmap);
      },
      () => setWrong(true),
    );
  return {
    photo,
    button: (
      <FileButton icon={Camera} label={label} accept="image/*" take={take}>
        {words}
      </FileButton>
    ),
    fault: wrong && (
      <p role="alert" className="text-stop">
        This file is no picture the browser can read.
      </p>
    ),
  };
}
