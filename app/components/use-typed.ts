import { useRef, useState } from "react";
import { useDraft } from "./use-draft";
import { hurryAsks } from "~/actions/use-ask";

/** What a text says: a value, or why it is none. */
export type Reading<V> = { readonly value: V } | { readonly wrong: string };

interface Typed<V> {
  /** As it is kept, with what is being saved already in it. */
  readonly value: V;
  readonly text: (value: V) => string;
  readonly read: (text: string) => Reading<V>;
  /**
   * Saves a value while it is typed.
   *
   * @param before what it comes instead of, as the user knew it
   */
  readonly save: (value: V, before: V) => void;
  /** Names it among the drafts of its page: what is no value yet then outlives a reload. */
  readonly draft?: string;
}

/** A field under the user's hands: what to show, what is wrong with it, and what to do at each stroke. */
export interface TypedField {
  readonly text: string;
  readonly wrong: string | null;
  readonly begin: () => void;
  /** @param open it is only half typed, and says nothing yet */
  readonly type: (text: string, open?: boolean) => void;
  readonly leave: () => void;
  /** Forgets what is typed and not yet a value. */
  readonly forget: () => void;
}

/** A field that is saved while it is typed. What is no value yet stays as it was typed, with a reason, and takes nothing away. */
export function useTyped<V>({ value, text, read, save, draft: name }: Typed<V>): TypedField {
  const [unread, keepUnread] = useDraft<string | null>(name ?? "typed", null);
  const [draft, setDraft] = useState<string | null>(name === undefined ? null : unread);
  const known = useRef(value);
  const reading = draft === null ? null : read(draft);
  const begin = () => {
    if (draft !== null) return;
    known.current = value;
    setDraft(text(value));
  };
  return {
    text: draft ?? text(value),
    wrong: reading && "wrong" in reading ? reading.wrong : null,
    begin,
    type: (next, open = false) => {
      if (draft === null) known.current = value;
      setDraft(next);
      if (open) return;
      const said = read(next);
      if (name !== undefined) keepUnread("wrong" in said ? next : null);
      if ("wrong" in said || text(said.value) === text(known.current)) return;
      save(said.value, known.current);
      known.current = said.value;
    },
    leave: () => {
      hurryAsks();
      if (!reading || "value" in reading) setDraft(null);
    },
    forget: () => {
      setDraft(null);
      if (name !== undefined) keepUnread(null);
    },
  };
}
