import type { Ask } from "./perform";

/** What became of an ask: it waits its turn, is on its way, is written but not shown yet, or could not be written. */
export type AskState = "waiting" | "sent" | "written" | "unsaved";

/** One thing asked of an action, until the page shows what came of it. */
export interface Asked<A extends Ask = Ask> {
  /** Its own id: what was done for it once is not done again. */
  readonly key: string;
  readonly action: string;
  readonly ask: A;
  readonly state: AskState;
  /** Why it could not be written; null while it may be. */
  readonly why: string | null;
  /** What is typed, where it is typed: a later stroke takes the place of an earlier one. */
  readonly about: string | null;
  /** A page that is gone has left it. */
  readonly left?: true;
}

/** An ask that its action would never take: told once, and let go. */
export interface RefusedAsk {
  readonly key: string;
  readonly why: string;
}

/** What this page has asked and not seen the end of. */
export interface AsksState {
  readonly asked: readonly Asked[];
  readonly refused: readonly RefusedAsk[];
}

/** Where asks are noted the moment they are made, so that none is lost with the page; localStorage fits. */
export interface Journal {
  readonly getItem: (key: string) => string | null;
  readonly setItem: (key: string, value: string) => void;
  readonly removeItem: (key: string) => void;
  readonly key: (index: number) => string | null;
  readonly length: number;
}

export interface AsksParts {
  readonly journal: Journal | null;
  /** This page's name in the journal. */
  readonly tab: string;
  readonly freshKey: () => string;
  /** Instant, ms. */
  readonly now: () => number;
  /** Does something after so many ms. */
  readonly later: (work: () => void, ms: number) => void;
}

/** How an ask is made. */
export interface AskHow<A extends Ask = Ask> {
  /** Names what is typed: the ask waits until typing rests, and one that still waits gives way to it. */
  readonly about?: string | null;
  /** False for what must not be done again after a reload, such as taking something back. */
  readonly noted?: boolean;
  /** The ask in place of an earlier one that still waits; as it is where this is left out. */
  readonly over?: ((earlier: A) => A) | undefined;
}

/** Sends an ask to its action; settles when the page has seen what came of it. */
export type Send = (asked: Asked) => Promise<void>;
