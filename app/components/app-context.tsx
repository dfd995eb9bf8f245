import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState } from "react";
import type { ReactNode } from "react";
import { useRevalidator } from "react-router";
import type { RoomRecord } from "#core/formats/stores/rooms";
import type { SettingsRecord } from "#core/formats/stores/settings";
import type { FreeHours } from "#core/schedule/free-hours";
import { useAsk, useAsked } from "~/actions/use-ask";
import { useNow } from "./use-now";
import type { SettingsChange } from "~/store/preferences";

interface HistoryState {
  readonly undo: string | null;
  readonly redo: string | null;
  readonly said: { readonly step: number; readonly text: string } | null;
}

interface HistoryAsk {
  readonly intent: "undo" | "redo";
}

/** What every room shares, as the root's loader gives it. */
export interface Preferences {
  readonly settings: SettingsRecord;
  readonly rooms: readonly RoomRecord[];
  readonly hours: FreeHours;
  readonly history: HistoryState;
  /** Why the browser's database does not open; null when it does. */
  readonly trouble: string | null;
}

export interface AppContext extends Preferences {
  readonly saveSettings: (change: SettingsChange) => void;
  readonly step: (direction: "undo" | "redo") => void;
  /** Says something to whoever listens rather than looks. */
  readonly announce: (text: string) => void;
  readonly said: string;
  /** A newer Nook Coat has taken the database over. */
  readonly tooOld: boolean;
}

const Context = createContext<AppContext | null>(null);

interface SettingsAsk {
  readonly intent: "settings";
  readonly change: SettingsChange;
}

/** The settings with what is being saved already in them. */
function useSettings(kept: SettingsRecord): Pick<AppContext, "settings" | "saveSettings"> {
  const ask = useAsk<SettingsAsk>("/settings");
  const asked = useAsked<SettingsAsk>("/settings");
  const settings = asked.reduce((current, one) => (one.intent === "settings" ? { ...current, ...one.change } : current), kept);
  const saveSettings = useCallback((change: SettingsChange) => ask({ intent: "settings", change }), [ask]);
  return { settings, saveSettings };
}

/** Reloads what another tab has saved; says when this tab is too old to go on. */
function useOtherTabs(): boolean {
  const { revalidate } = useRevalidator();
  const [old, setOld] = useState(false);
  useEffect(() => {
    let stop: (() => void) | null = null;
    let gone = false;
    void import("~/store/open.client").then(({ onOtherTab }) => {
      if (!gone) stop = onOtherTab(() => void revalidate());
    });
    const newer = () => setOld(true);
    window.addEventListener("database-newer", newer);
    return () => {
      gone = true;
      stop?.();
      window.removeEventListener("database-newer", newer);
    };
  }, [revalidate]);
  return old;
}

const QUARTER_MS = 15 * 60_000;

/** What was worked out from the time is worked out anew each quarter of an hour. */
function useClock(): void {
  const { revalidate } = useRevalidator();
  const quarter = Math.floor(useNow() / QUARTER_MS);
  const loaded = useRef(quarter);
  useEffect(() => {
    if (loaded.current === quarter) return;
    loaded.current = quarter;
    void revalidate();
  }, [quarter, revalidate]);
}

/** The theme stands on the document, and beside it in storage, so that the next page opens in it at once. */
function useTheme(theme: SettingsRecord["theme"], known: boolean): void {
  useEffect(() => {
    if (!known) return;
    document.documentElement.dataset.theme = theme;
    try {
      localStorage.setItem("nook-coat-theme", theme);
    } catch {
      // A browser that keeps nothing opens in the system's theme.
    }
  }, [theme, known]);
}

/** What every screen shares: settings, undo, a voice. */
export function AppContextProvider({ preferences, children }: { preferences: Preferences; children: ReactNode }) {
  const [said, setSaid] = useState("");
  const { settings, saveSettings } = useSettings(preferences.settings);
  useTheme(settings.theme, settings.rev > 0);
  const tooOld = useOtherTabs();
  useClock();
  const announce = useCallback((text: string) => setSaid((before) => (before === text ? `${text} ` : text)), []);
  const ask = useAsk<HistoryAsk>("/history");
  const step = useCallback((intent: "undo" | "redo") => ask({ intent }), [ask]);
  const last = preferences.history.said;
  const heard = useRef(last?.step);
  useEffect(() => {
    if (!last || last.step === heard.current) return;
    heard.current = last.step;
    announce(last.text);
  }, [last, announce]);
  const context = useMemo(
    () => ({ ...preferences, settings, saveSettings, step, announce, said, tooOld }),
    [preferences, settings, saveSettings, step, announce, said, tooOld],
  );
  return <Context value={context}>{children}</Context>;
}

export function useAppContext(): AppContext {
  const context = useContext(Context);
  if (!context) throw new Error("this screen stands outside the app's context");
  return context;
}
