import type { ReactNode } from "react";
import { Printer } from "lucide-react";

/** A page that is meant for paper: the button above it stays on the screen. */
export function PaperPage({ title, children }: { title: string; children: ReactNode }) {
  return (
    <>
      <title>{`${title} – Nook Coat`}</title>
      <div className="mb-4 flex flex-wrap gap-2 print:hidden">
        <button type="button" className="button button-act" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> Print
        </button>
      </div>
      {children}
    </>
  );
}
