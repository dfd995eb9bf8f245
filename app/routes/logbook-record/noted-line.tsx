import type { ReactNode } from "react";
import { Trash2 } from "lucide-react";
import { ToolButton } from "~/components/tool-button";

interface Props {
  /** When, as it is said. */
  readonly when: string;
  readonly children: ReactNode;
  /** What takes it off, for whoever listens. */
  readonly off: string;
  readonly takeOff: () => void;
}

/** Something that was noted of a finished piece, and what takes it off again. */
export function NotedLine({ when, children, off, takeOff }: Props) {
  return (
    <li className="flex items-start justify-between gap-2">
      <span className="min-w-0 whitespace-pre-wrap [overflow-wrap:anywhere]">
        <span className="text-soft">{when}:</span> {children}
      </span>
      <span className="print:hidden">
        <ToolButton icon={Trash2} label={off} onClick={takeOff} />
      </span>
    </li>
  );
}
