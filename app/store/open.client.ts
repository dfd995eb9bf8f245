import { onCommand } from "./command";
import { openStore } from "./database";
import type { Database } from "./database";

let opened: Promise<Database> | null = null;
const CHANNEL = "nook-coat-changes";

/** The one open database of this tab. When a newer tab upgrades it, this one lets go and asks to be reloaded. */
export function database(): Promise<Database> {
  opened ??= openStore(() => {
    opened = null;
    window.dispatchEvent(new Event("database-newer"));
  });
  return opened;
}

/** Tells the other tabs that something was saved. */
export function announceChange(): void {
  const channel = new BroadcastChannel(CHANNEL);
  channel.postMessage("changed");
  channel.close();
}

/** Listens for what other tabs save. */
export function onOtherTab(listen: () => void): () => void {
  const channel = new BroadcastChannel(CHANNEL);
  channel.onmessage = listen;
  return () => channel.close();
}

onCommand(announceChange);
