import { useRef } from "react";
import type { LucideIcon } from "lucide-react";

interface Props {
  readonly icon: LucideIcon;
  readonly children: string;
  /** What the file is, for whoever listens. */
  readonly label: string;
  /** Kinds of file, as the browser names them. */
  readonly accept: string;
  readonly take: (file: File) => void;
}

/** A button that asks for a file; the same file may be chosen twice. */
export function FileButton({ icon: Icon, children, label, accept, take }: Props) {
  const picker = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={picker}
        type="file"
        accept={accept}
        className="sr-only"
        tabIndex={-1}
        aria-label={label}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = "";
          if (file) take(file);
        }}
      />
      <button type="button" className="button" onClick={() => picker.current?.click()}>
        <Icon aria-hidden size={20} /> {children}
      </button>
    </>
  );
}
