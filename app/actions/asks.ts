import type { WaitingAsk } from "#core/formats/write-bundle";
import type { Ask } from "./perform";
import type { Asked, AskHow, AsksParts, AsksState, Send } from "./asked";

export type { Asked, AskHow, AsksParts, AsksState, AskState, Journal, RefusedAsk, Send } from "./asked";

/** How long typing rests before it is saved, ms. */
const PAUSE_MS = 400;
/** Waits before what could not be written is tried again, ms; the last one over and over. */
const RETRY_MS = [2000, 5000, 15_000, 60_000];
const PREFIX = "nook-coat-ask/";

/** What is asked of the whole notebook, or of the hand that is at it: that is no part of what a file carries. */
const OF_THE_HOUSE: ReadonlySet<string> = new Set(["undo", "redo", "bring-back", "import", "export", "wipe", "set-aside", "open-demo", "close-demo", "decide"]);

interface Noted {
  readonly action: string;
  readonly ask: Ask;
}

function isNoted(value: unknown): value is Noted {
  const { action, ask } = (value ?? {}) as { readonly action?: unknown; readonly ask?: { readonly intent?: unknown } };
  return typeof action === "string" && action.startsWith("/") && typeof ask === "object" && ask !== null && typeof ask.intent === "string";
}

/**
 * Asks of one page, each action's one after another in the order they were made. Each is noted before it is sent and struck out when it is written: one
 * that could not be written stays, is shown as asked for, and is tried again.
 */
export class Asks {
  private state: AsksState = { asked: [], refused: [] };
  private readonly watchers = new Set<() => void>();
  private send: Send | null = null;
  private readonly rests = new Map<string, number>();
  private tries = 0;

  constructor(private readonly parts: AsksParts) {}

  readonly snapshot = (): AsksState => this.state;

  readonly subscribe = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => void this.watchers.delete(watcher);
  };

  /** From here on asks can be sent. */
  connect(send: Send): void {
    this.send = send;
    this.go();
  }

  /**
   * Asks something.
   *
   * @returns the ask's key
   */
  ask<A extends Ask>(action: string, ask: A, { about = null, noted = true, over }: AskHow<A> = {}): string {
    const earlier = about === null ? undefined : this.state.asked.find((one) => one.about === about && one.action === action && one.state === "waiting");
    const key = earlier?.key ?? this.parts.freshKey();
    const asked: Asked = { key, action, ask: earlier && over ? over(earlier.ask as A) : ask, state: "waiting", why: null, about };
    if (noted) this.note(asked);
    this.become(earlier ? this.state.asked.map((one) => (one === earlier ? asked : one)) : [...this.state.asked, asked]);
    if (about === null) {
      // A deed ends the typing before it.
      for (const one of this.state.asked) if (one.action === action) this.rests.delete(one.key);
      this.go();
    } else this.rest(key);
    return key;
  }

  /** Typing has ended: what waits for it goes now. */
  hurry(): void {
    this.rests.clear();
    this.go();
  }

  /** Waits until all that was asked of other actions is written, or could not be. */
  async settledBut(action: string): Promise<void> {
    this.hurry();
    const open = () => {
      const { asked } = this.state;
      // What waits behind something that cannot be written is not waited for.
      const stuck = new Set(asked.filter((one) => one.state === "unsaved").map((one) => one.action));
      return asked.some((one) => one.action !== action && (one.state === "sent" || (one.state === "waiting" && !stuck.has(one.action))));
    };
    while (open())
      await new Promise<void>((resolve) => {
        const stop = this.subscribe(() => (stop(), resolve()));
      });
  }

  /** What was asked is written. */
  written(key: string): void {
    this.tries = 0;
    this.strike(key);
    this.change(key, { state: "written", why: null });
    this.go();
  }

  /** It could not be written: it stays, and is tried again after a while. */
  failed(key: string, why: string): void {
    this.change(key, { state: "unsaved", why });
    const wait = RETRY_MS[Math.min(this.tries, RETRY_MS.length - 1)]!;
    this.tries += 1;
    this.parts.later(() => this.retry(), wait);
  }

  /** It is nothing the action takes: trying again would change nothing. */
  refused(key: string, why: string): void {
    this.strike(key);
    this.state = { asked: this.state.asked.filter((one) => one.key !== key), refused: [...this.state.refused, { key, why }] };
    this.tell();
    this.go();
  }

  /** The user has read what was refused. */
  read(key: string): void {
    this.state = { ...this.state, refused: this.state.refused.filter((one) => one.key !== key) };
    this.tell();
  }

  /** Tries again what could not be written. */
  retry(): void {
    this.become(this.state.asked.map((one) => (one.state === "unsaved" ? { ...one, state: "waiting" } : one)));
    this.go();
  }

  /** Pages that have left something in the journal, this one aside. */
  pagesLeft(): readonly string[] {
    return [...new Set(this.left().map((one) => one.page))].filter((page) => page !== this.parts.tab);
  }

  /**
   * Takes over what pages that are gone have left in the journal, oldest first.
   *
   * @param gone names of pages that are no longer open
   */
  adopt(gone: ReadonlySet<string>): void {
    const { journal } = this.parts;
    for (const { name, page, key } of this.left()) {
      if (!journal || !gone.has(page)) continue;
      const text = journal.getItem(name);
      journal.removeItem(name);
      const noted: unknown = text === null ? null : parsed(text);
      if (!isNoted(noted) || this.state.asked.some((one) => one.key === key)) continue;
      const asked: Asked = { key, ...noted, state: "waiting", why: null, about: null, left: true };
      this.note(asked);
      this.become([...this.state.asked, asked]);
    }
    this.go();
  }

  /** What waits to be written: whatever may be asked again elsewhere. */
  waiting(): readonly WaitingAsk[] {
    return this.state.asked.filter((one) => one.state !== "written" && !OF_THE_HOUSE.has(one.ask.intent)).map(({ key, action, ask }) => ({ key, action, ask }));
  }

  /** Asks what waited to be written where a file was saved; what is asked here already is not asked again. */
  takeIn(waiting: readonly WaitingAsk[]): void {
    for (const { key, action, ask } of waiting) {
      if (OF_THE_HOUSE.has(ask.intent) || this.state.asked.some((one) => one.key === key)) continue;
      const asked: Asked = { key, action, ask, state: "waiting", why: null, about: null, left: true };
      this.note(asked);
      this.become([...this.state.asked, asked]);
    }
    this.go();
  }

  /** What stands in the journal, in the order it was asked. */
  private left(): readonly { readonly name: string; readonly page: string; readonly key: string }[] {
    const { journal } = this.parts;
    const names = Array.from({ length: journal?.length ?? 0 }, (_unused, at) => journal?.key(at) ?? "").filter((name) => name.startsWith(PREFIX));
    const known = names.flatMap((name) => {
      const [page, when, key] = name.slice(PREFIX.length).split("/");
      return page && when && key ? [{ name, page, when, key }] : [];
    });
    return known.sort((one, other) => one.when.localeCompare(other.when));
  }

  private rest(key: string): void {
    const stroke = (this.rests.get(key) ?? 0) + 1;
    this.rests.set(key, stroke);
    this.parts.later(() => {
      if (this.rests.get(key) !== stroke) return;
      this.rests.delete(key);
      this.go();
    }, PAUSE_MS);
  }

  /** Sends what may go: of each action the first, unless something of it is on its way or could not be written. */
  private go(): void {
    if (!this.send) return;
    for (const action of new Set(this.state.asked.map((one) => one.action))) {
      const [first] = this.state.asked.filter((one) => one.action === action && one.state !== "written");
      if (first?.state !== "waiting" || this.rests.has(first.key)) continue;
      this.change(first.key, { state: "sent" });
      const { key } = first;
      void this.send(first)
        .catch((error: unknown) => this.failed(key, error instanceof Error ? error.message : "the page could not be reached"))
        .then(() => this.seen(key));
    }
  }

  /** The page has seen the end of it. */
  private seen(key: string): void {
    const asked = this.state.asked.find((one) => one.key === key);
    if (asked?.state === "written") this.become(this.state.asked.filter((one) => one.key !== key));
    // Nobody has said that it was written: its action was never reached.
    else if (asked?.state === "sent") this.failed(key, "the page did not answer");
  }

  private change(key: string, more: Partial<Asked>): void {
    this.become(this.state.asked.map((one) => (one.key === key ? { ...one, ...more } : one)));
  }

  private become(asked: readonly Asked[]): void {
    this.state = { ...this.state, asked };
    this.tell();
  }

  private tell(): void {
    for (const watcher of this.watchers) watcher();
  }

  /** Names in the journal say when the asks were made, over all pages. */
  private note({ key, action, ask }: Asked): void {
    this.strike(key);
    this.noted += 1;
    const name = `${PREFIX}${this.parts.tab}/${String(this.parts.now()).padStart(15, "0")}-${String(this.noted).padStart(6, "0")}/${key}`;
    try {
      this.parts.journal?.setItem(name, JSON.stringify({ action, ask }));
      this.names.set(key, name);
    } catch {
      // A full journal keeps nothing; the ask itself goes on.
    }
  }

  private noted = 0;
  private readonly names = new Map<string, string>();

  private strike(key: string): void {
    const name = this.names.get(key);
    if (name === undefined) return;
    this.names.delete(key);
    this.parts.journal?.removeItem(name);
  }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
