import { useEffect, useMemo, useRef, useState } from "react";
import { Plus } from "lucide-react";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { jarId, productId } from "#core/catalogue/ids";
import type { ProductId } from "#core/catalogue/ids";
import type { Jar } from "#core/catalogue/jar";
import { draftedJar } from "#core/shelf/draft-jar";
import type { JarDraft } from "#core/shelf/draft-jar";
import { changedJar } from "#core/shelf/jar-change";
import { ColourChip } from "~/components/colour-chip";
import { useAppContext } from "~/components/app-context";
import { freshId } from "~/store/fresh-id";
import { colourShown, KINDS, kindOf, sayLabel, sayLeft, sizeOf } from "~/shelf/shelf-view";
import { JarFields } from "./jar-fields";

const EMPTY: JarDraft = { words: "", hand: { name: "", label: {} } };
const KEPT_AS = "nook-coat-new-jar";
const MOST_WORDS = 600;
const FIRST_KIND = productId("craft-acrylic");

/** What was typed before a reload. */
function draftBefore(): JarDraft {
  try {
    const kept = JSON.parse(sessionStorage.getItem(KEPT_AS) ?? "null") as JarDraft | null;
    return kept && typeof kept.words === "string" && typeof kept.hand?.label === "object" ? kept : EMPTY;
  } catch {
    return EMPTY;
  }
}

const HEX = /^#[0-9a-f]{6}$/;

/** @param colour sRGB hex it is to have, as one picked from a photograph; null for none */
function useDraft(colour: string | null) {
  const [draft, setDraft] = useState<JarDraft>(() => (colour !== null && HEX.test(colour) ? { words: "", hand: { ...EMPTY.hand, colour } } : draftBefore()));
  useEffect(() => {
    try {
      if (draft === EMPTY) sessionStorage.removeItem(KEPT_AS);
      else sessionStorage.setItem(KEPT_AS, JSON.stringify(draft));
    } catch {
      // A browser without room for it keeps the draft as long as the page is open.
    }
  }, [draft]);
  return [draft, setDraft] as const;
}

/** A jar in a line of words: what its label says is read off it, the rest is typical until it is said. */
export function NewJar({ shelf, colour, add, close }: { shelf: readonly Jar[]; colour: string | null; add: (jar: Jar) => void; close: () => void }) {
  const { announce } = useAppContext();
  const [draft, setDraft] = useDraft(colour);
  const [before, setBefore] = useState<ProductId>(() => shelf.at(-1)?.classId ?? FIRST_KIND);
  const [open, setOpen] = useState(false);
  const words = useRef<HTMLInputElement>(null);
  const { jar, usualName, kinds } = useMemo(() => draftedJar(draft, before, CATALOGUE, new Date().toISOString()), [draft, before]);
  const kind = kindOf(jar)!;
  const name = jar.name || usualName;
  const said = draft.words.trim() !== "" || draft.hand !== EMPTY.hand;
  useEffect(() => words.current?.focus(), []);
  const put = () => {
    if (!said) return;
    add({ ...jar, id: jarId(freshId()), name });
    announce(`${name} is on the shelf`);
    setBefore(jar.classId);
    setDraft(EMPTY);
    words.current?.focus();
  };
  const others = kinds.filter((id) => id !== jar.classId).map((id) => KINDS.find((one) => one.id === id)!);
  return (
    <section aria-label="A new jar" className="note mt-4 p-4">
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          put();
        }}
      >
        <label>
          <span className="block font-semibold">What does the jar say?</span>
          <input
            ref={words}
            className="field placeholder:text-soft placeholder:italic"
            maxLength={MOST_WORDS}
            autoComplete="off"
            enterKeyHint="done"
            value={draft.words}
            placeholder="craft acrylic, navy, matt, 59 ml, half full"
            onChange={(event) => setDraft({ ...draft, words: event.target.value })}
          />
        </label>
        <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2">
          <ColourChip colour={colourShown(jar)} sheen={jar.label.sheen} size={44} />
          <p className="min-w-0 grow" aria-live="polite">
            <strong>{name}</strong>, {kind.name.toLowerCase()}
            <span className="block text-soft">
              {[
                sayLabel(jar.label),
                jar.sizeMl === undefined ? "" : `${jar.sizeMl} ml`,
                jar.left ? `${sayLeft(jar, jar.left.ml)}${jar.sizeMl === undefined ? ` of the usual ${sizeOf(jar).ml}` : ""}` : "how much is left: not said",
              ]
                .filter(Boolean)
                .join("; ")}
            </span>
          </p>
          <span className="flex flex-wrap gap-2">
            <button type="submit" className="button button-act" disabled={!said}>
              <Plus aria-hidden size={20} /> Put it on the shelf
            </button>
            <button type="button" className="button" onClick={close}>
              That is all
            </button>
          </span>
        </div>
      </form>
      {draft.words.trim() !== "" && others.length > 0 && draft.hand.classId === undefined && (
        <p className="mt-2 flex flex-wrap items-center gap-2">
          Or is it:
          {others.map(({ id, name: other, means }) => (
            <button key={id} type="button" className="chip" title={means} onClick={() => setDraft({ ...draft, hand: { ...draft.hand, classId: id } })}>
              {other}
            </button>
          ))}
        </p>
      )}
      <details className="mt-2" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
        <summary className="w-fit py-2 underline">Say more of it</summary>
        {open && (
          <JarFields
            jar={jar}
            leftMl={jar.left?.ml}
            shelf={shelf}
            usualName={usualName}
            change={(change) => setDraft((current) => ({ ...current, hand: changedJar(current.hand, change) }))}
          />
        )}
      </details>
    </section>
  );
}
