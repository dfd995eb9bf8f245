import { useSyncExternalStore } from "react";

const PARTS = "[data-skip]";

/** Marks a part of a page as one the keyboard may go to at once. */
export function skipTo(id: string, label: string): { readonly id: string; readonly "data-skip": string } {
  return { id, "data-skip": label };
}

/** Brings a part into view, and the focus to it. */
export function goTo(part: HTMLElement | null): void {
  if (!part) return;
  if (!part.hasAttribute("tabindex")) part.setAttribute("tabindex", "-1");
  part.focus({ preventScroll: true });
  part.scrollIntoView({ block: "start" });
}

function onParts(tell: () => void): () => void {
  const observer = new MutationObserver(tell);
  observer.observe(document.body, { childList: true, subtree: true });
  return () => observer.disconnect();
}

/** The parts that are in the page, in its order: as one text, so that the same parts are the same. */
function partsHere(): string {
  return JSON.stringify([...document.querySelectorAll<HTMLElement>(PARTS)].map((part) => [part.id, part.dataset.skip]));
}

/** The first stops of the keyboard: to the page, and to each of its parts that is there. */
export function SkipLinks() {
  const parts = JSON.parse(useSyncExternalStore(onParts, partsHere, () => "[]")) as readonly (readonly [string, string])[];
  return (
    <nav aria-label="Skip" className="print:hidden">
      {parts.map(([id, label]) => (
        <a
          key={id}
          href={`#${id}`}
          className="sr-only focus:not-sr-only focus:absolute focus:z-10 focus:bg-sheet focus:p-3"
          onClick={(event) => {
            event.preventDefault();
            goTo(document.getElementById(id));
          }}
        >
          {label}
        </a>
      ))}
    </nav>
  );
}
