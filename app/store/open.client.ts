import "./backup.client";
import { onCommand } from "./command";
import { isReadOnly, openStore, readOnlyAs } from "./database";
import type { Database } from "./database";
import { putBack, remembering } from "./remembered.client";

let opened: Promise<Database> | null = null;
const CHANNEL = "nook-coat-changes";

/** How the notebook stands in this tab. */
export interface NotebookState {
  /** A newer Nook Coat has taken the database over: this page is to be reloaded. */
  readonly tooOld: boolean;
  /** An older Nook Coat in another tab keeps the database shut. */
  readonly blocked: boolean;
  /** It takes long to open: another tab may keep it shut, without the browser saying so. */
  readonly slow: boolean;
  /** A newer Nook Coat has written it: it is read only here. */
  readonly readOnly: boolean;
  /** The browser has cleared it under this page: so many pieces the page had read were put back; null where it has not. */
  readonly putBack: number | null;
}

let state: NotebookState = { tooOld: false, blocked: false, slow: false, readOnly: false, putBack: null };
const watchers = new Set<() => void>();

function become(change: Partial<NotebookState>): void {
  state = { ...state, ...change };
  for (const watcher of watchers) watcher();
}

export function notebookState(): NotebookState {
  return state;
}

export function onNotebookState(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

/** The browser has closed the database under this page: it may have cleared it. */
let closed = false;

/** How long the notebook may take to open before the page says that it is kept shut, ms. */
const SLOW_MS = 4000;

async function fresh(): Promise<Database> {
  // Of several that wait for an older tab the browser tells only the first.
  const slow = setTimeout(() => become({ slow: true }), SLOW_MS);
  const own = openStore({
    onNewer: () => {
      opened = null;
      become({ tooOld: true });
    },
    onDeleted: () => {
      opened = null;
      closed = true;
      // What this page has read is put back at once, and shown.
      setTimeout(() => void database().then(announceChange, () => undefined), 0);
    },
    onBlocked: (blocked) => become({ blocked }),
    onClosed: () => {
      opened = null;
      closed = true;
    },
  });
  try {
    const plain = await own;
    const db = remembering(plain);
    readOnlyAs(db, plain);
    if (closed) {
      closed = false;
      const count = await putBack(db);
      if (count !== null) become({ putBack: count });
    }
    become({ blocked: false, readOnly: isReadOnly(db) });
    return db;
  } catch (error) {
    opened = null;
    throw error;
  } finally {
    clearTimeout(slow);
    if (state.slow) become({ slow: false });
  }
}

/**
 * The one open database of this tab. When a newer tab upgrades it, this one lets go and asks to be reloaded; one that the browser has closed, or that
 * did not open, is opened again with the next question.
 */
export function database(): Promise<Database> {
  opened ??= fresh();
  return opened;
}

/** Tells the other tabs that something was saved. */
export function announceChange(): void {
  changes += 1;
  const channel = new BroadcastChannel(CHANNEL);
  channel.postMessage("changed");
  channel.close();
}

const elsewhere = new Set<() => void>();
let changes = 0;

/** Grows with everything that is saved, here or in another tab: what was read at one count holds as long as it does. */
export function changeCount(): number {
  return changes;
}

/** Listens for what other tabs save; by then the count has grown. */
export function onOtherTab(listen: () => void): () => void {
  elsewhere.add(listen);
  return () => elsewhere.delete(listen);
}

new BroadcastChannel(CHANNEL).onmessage = () => {
  changes += 1;
  for (const listen of elsewhere) listen();
};

onCommand(announceChange);
