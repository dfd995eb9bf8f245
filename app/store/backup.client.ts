import { onCommand } from "./command";

const KEY = "nook-coat-backup";

/** When the notebook was last saved to a file on this device, and how much has changed since. */
export interface BackupState {
  /** Instant, ms; null for never. */
  readonly at: number | null;
  readonly changes: number;
}

/** What this device remembers of it; nothing where it remembers nothing. */
export function backupState(): BackupState {
  try {
    const { at, changes } = JSON.parse(localStorage.getItem(KEY) ?? "{}") as { at?: unknown; changes?: unknown };
    return { at: typeof at === "number" && Number.isFinite(at) ? at : null, changes: typeof changes === "number" && changes >= 0 ? changes : 0 };
  } catch {
    return { at: null, changes: 0 };
  }
}

function remember(state: BackupState): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(state));
  } catch {
    // A device that remembers nothing does not advise either.
  }
}

export function noteBackup(at: number): void {
  remember({ at, changes: 0 });
}

/** Room the notebook takes and may take on this device, bytes. */
export interface RoomLeft {
  readonly used: number;
  readonly most: number;
  /** The browser has promised not to clear it. */
  readonly kept: boolean;
}

/** What the browser tells of the room; null where it tells nothing. */
export async function roomLeft(): Promise<RoomLeft | null> {
  try {
    const [{ usage, quota }, kept] = await Promise.all([navigator.storage.estimate(), navigator.storage.persisted()]);
    return usage === undefined || quota === undefined ? null : { used: usage, most: quota, kept };
  } catch {
    return null;
  }
}

/** Asked once a piece is kept: the browser then does not clear the notebook to make room. */
let asked = false;

function askToPersist(): void {
  if (asked || !navigator.storage?.persist) return;
  asked = true;
  void navigator.storage.persist().catch(() => undefined);
}

onCommand(({ entries }) => {
  const { at, changes } = backupState();
  remember({ at, changes: changes + 1 });
  if (entries.some((one) => one.store === "pieces" && one.after !== null)) askToPersist();
});
