import type { ReactNode } from "react";
import { Link } from "react-router";
import { Printer } from "lucide-react";

/** A page that is meant for paper: the two buttons above it stay on the screen. */
export function PaperPage({ title, back, children }: { title: string; back: string; children: ReactNode }) {
  return (
    <>
      <title>{`${title} – Nook Coat`}</title>
      <div className="mb-4 flex flex-wrap gap-2 print:hidden">
        <button type="button" className="button button-act" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> Print
        </button>
        <Link to={back} className="button">
          Back to the plan
        </Link>
      </div>
      {children}
    </>
  );
}
