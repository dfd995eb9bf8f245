/** How far a file has been brought in; null while none is. */
export interface ImportState {
  readonly done: number;
  readonly of: number;
  readonly stop: () => void;
}

let state: ImportState | null = null;
const watchers = new Set<() => void>();
/** Told this often at most: a list of thousands is not drawn thousands of times. */
const EVERY = 25;

function become(next: ImportState | null): void {
  state = next;
  for (const watcher of watchers) watcher();
}

export const importState = (): ImportState | null => state;

export function onImportState(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

/** A file is read. @returns says when the user wants it stopped */
export function begun(): AbortSignal {
  const controller = new AbortController();
  become({ done: 0, of: 0, stop: () => controller.abort() });
  return controller.signal;
}

export function told(done: number, of: number): void {
  if (state && (done % EVERY === 0 || done === of)) become({ ...state, done, of });
}

export function ended(): void {
  become(null);
}
