/** What a device may do when a wait has ended, and plainly where it may not. */

/** Two soft notes; browsers that may not sound stay silent. */
export function chime(): void {
  try {
    const audio = new AudioContext();
    for (const [index, frequency] of [523, 659].entries()) {
      const note = audio.createOscillator();
      const loud = audio.createGain();
      note.frequency.value = frequency;
      loud.gain.setValueAtTime(0.12, audio.currentTime + index * 0.25);
      loud.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + index * 0.25 + 0.6);
      note.connect(loud).connect(audio.destination);
      note.start(audio.currentTime + index * 0.25);
      note.stop(audio.currentTime + index * 0.25 + 0.6);
    }
  } catch {
    // No sound here.
  }
}

/** Why this device cannot do something; null where it can. */
export type Refusal = "insecure" | "missing" | "denied" | null;

/** Whether notes may be shown by the device. */
export function notifyRefused(): Refusal {
  if (!window.isSecureContext) return "insecure";
  if (typeof Notification === "undefined") return "missing";
  return Notification.permission === "denied" ? "denied" : null;
}

/** Whether the screen can be kept on. */
export function awakeRefused(): Refusal {
  if (!window.isSecureContext) return "insecure";
  return "wakeLock" in navigator ? null : "missing";
}

/** Asks for leave to show notes. @returns whether it was given */
export async function askToNotify(): Promise<boolean> {
  if (notifyRefused() !== null) return false;
  return (await Notification.requestPermission()) === "granted";
}

/** Shows a note of the device; says nothing where it may not. */
export async function showNote(text: string): Promise<void> {
  if (notifyRefused() !== null || Notification.permission !== "granted") return;
  try {
    const registration = await navigator.serviceWorker?.getRegistration();
    // One note for the same thing, whichever tab shows it.
    const how = { tag: `nook-coat-${text}`, icon: "/favicon.svg" };
    if (registration) await registration.showNotification(text, how);
    else new Notification(text, how);
  } catch {
    // The page tells of it anyway.
  }
}

const RUNG = "nook-coat-rung";

/** Whether this tab is the first to tell of something: the others stay silent. @param what names it, with its instant */
export function isFirstToTell(what: string): boolean {
  try {
    if (localStorage.getItem(RUNG) === what) return false;
    localStorage.setItem(RUNG, what);
  } catch {
    // A browser that keeps nothing tells in every tab.
  }
  return true;
}

const ENDS = "nook-coat-ends";

/** Remembers when waits end, so that other pages may call as well. @param ends instants, ms */
export function keepEnds(ends: readonly number[]): void {
  try {
    localStorage.setItem(ENDS, JSON.stringify([...ends].sort((a, b) => a - b).slice(0, 50)));
  } catch {
    // Other pages stay silent.
  }
}

/** Remembers one more end, beside those that are known. @param end instant, ms */
export function addEnd(end: number): void {
  try {
    const known = JSON.parse(localStorage.getItem(ENDS) ?? "[]") as unknown;
    const ends = Array.isArray(known) ? known.filter((one): one is number => typeof one === "number") : [];
    if (!ends.includes(end)) keepEnds([...ends, end]);
  } catch {
    // Other pages stay silent.
  }
}

/** The next end after an instant, ms; null where none is known. */
export function nextEnd(now: number): number | null {
  try {
    const ends = JSON.parse(localStorage.getItem(ENDS) ?? "[]") as unknown;
    return (Array.isArray(ends) ? ends : []).find((at): at is number => typeof at === "number" && at > now) ?? null;
  } catch {
    return null;
  }
}
