import { useRef } from "react";
import type { LucideIcon } from "lucide-react";

interface Props {
  readonly icon: LucideIcon;
  readonly children: string;
  /** What the file is, for whoever listens. */
  readonly label: string;
  /** Kinds of file, as the browser names them. */
  readonly accept: string;
  /** More than one may be chosen at once. */
  readonly many?: boolean;
  /** On a phone its camera is opened. */
  readonly capture?: boolean;
  /** @param all of them, where many may be chosen */
  readonly take: (file: File, all: readonly File[]) => void;
}

/** A button that asks for a file; the same file may be chosen twice. */
export function FileButton({ icon: Icon, children, label, accept, many = false, capture = false, take }: Props) {
  const picker = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={picker}
        type="file"
        accept={accept}
        className="sr-only"
        tabIndex={-1}
        multiple={many}
        {...(capture ? { capture: "environment" as const } : {})}
        aria-label={label}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = "";
          if (files[0]) take(files[0], files);
        }}
      />
      <button type="button" className="button" onClick={() => picker.current?.click()}>
        <Icon aria-hidden size={20} /> {children}
      </button>
    </>
  );
}
