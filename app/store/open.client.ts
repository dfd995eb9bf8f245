import { onAct } from "./command";
import { openNotebook } from "./database";
import type { Notebook } from "./database";

let opened: Promise<Notebook> | null = null;
const CHANNEL = "nook-coat-changes";

/** The one open notebook of this tab. When a newer tab upgrades it, this one lets go and asks to be reloaded. */
export function notebook(): Promise<Notebook> {
  opened ??= openNotebook(() => {
    opened = null;
    window.dispatchEvent(new Event("notebook-newer"));
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

onAct(announceChange);
