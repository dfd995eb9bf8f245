import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, useSyncExternalStore } from "react";
import type { ReactNode } from "react";
import { useFetcher, useFetchers, useRevalidator } from "react-router";
import type * as HistoryClient from "~/store/history.client";
import type { SettingsChange } from "~/store/preferences";
import { USUAL_SETTINGS } from "#core/formats/stores/settings";
import type { SettingsRecord } from "#core/formats/stores/settings";
import type { RoomRecord } from "#core/formats/stores/rooms";
import { usualHours } from "#core/schedule/free-hours";
import type { FreeHours } from "#core/schedule/free-hours";

interface HistoryState {
  readonly undo: string | null;
  readonly redo: string | null;
}

export interface AppContext {
  readonly settings: SettingsRecord;
  readonly saveSettings: (change: SettingsChange) => void;
  readonly rooms: readonly RoomRecord[];
  readonly hours: FreeHours;
  readonly history: HistoryState;
  readonly step: (direction: "undo" | "redo") => void;
  /** Says something to whoever listens rather than looks. */
  readonly announce: (text: string) => void;
  readonly said: string;
}

const NOTHING: HistoryState = { undo: null, redo: null };
const Context = createContext<AppContext | null>(null);

type HistoryModule = typeof HistoryClient;

function useHistory(): { readonly history: HistoryState; readonly module: HistoryModule | null } {
  const [module, setModule] = useState<HistoryModule | null>(null);
  useEffect(() => void import("~/store/history.client").then(setModule), []);
  const watch = useCallback((watcher: () => void) => module?.watchHistory(watcher) ?? (() => {}), [module]);
  const history = useSyncExternalStore(
    watch,
    () => module?.historyState() ?? NOTHING,
    () => NOTHING,
  );
  return { history, module };
}

/** The user's time zone, as the browser tells it. */
export function timeZoneHere(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}

interface Preferences {
  readonly settings: SettingsRecord;
  readonly rooms: readonly RoomRecord[];
  readonly hours: FreeHours;
}

/** The user's settings, rooms and hours, read anew whenever anything is done here or in another tab. */
function usePreferences(history: HistoryState): Preferences {
  const [preferences, setPreferences] = useState<Preferences>({ settings: USUAL_SETTINGS, rooms: [], hours: usualHours("UTC") });
  const [heard, setHeard] = useState(0);
  useEffect(() => {
    let stop: (() => void) | null = null;
    let gone = false;
    void import("~/store/open.client").then(({ onOtherTab }) => {
      if (!gone) stop = onOtherTab(() => setHeard((count) => count + 1));
    });
    return () => {
      gone = true;
      stop?.();
    };
  }, []);
  useEffect(() => {
    let current = true;
    void (async () => {
      const [{ database }, { settingsIn, roomsIn, hoursIn }] = await Promise.all([import("~/store/open.client"), import("~/store/preferences")]);
      const db = await database();
      const [settings, rooms, hours] = await Promise.all([settingsIn(db), roomsIn(db), hoursIn(db, timeZoneHere())]);
      if (current) setPreferences({ settings, rooms, hours });
    })().catch(() => undefined);
    return () => {
      current = false;
    };
  }, [history, heard]);
  return preferences;
}

/** The user's settings; what the user chooses shows at once, before the database has answered. */
function useSettings(kept: SettingsRecord): Pick<AppContext, "settings" | "saveSettings"> {
  const { submit } = useFetcher();
  const [ahead, setAhead] = useState<{ readonly rev: number; readonly change: SettingsChange }>({ rev: -1, change: {} });
  const { rev } = kept;
  const settings = useMemo(() => (ahead.rev === kept.rev ? { ...kept, ...ahead.change } : kept), [kept, ahead]);
  const saveSettings = useCallback(
    (change: SettingsChange) => {
      setAhead((before) => ({ rev, change: before.rev === rev ? { ...before.change, ...change } : change }));
      void submit({ intent: "settings", change } as never, { method: "post", action: "/settings", encType: "application/json" });
    },
    [rev, submit],
  );
  return { settings, saveSettings };
}

/** Takes back and does again, one at a time, and never before what the user has just done is written. */
function useSteps(module: HistoryModule | null, announce: (text: string) => void, after: () => void): (direction: "undo" | "redo") => void {
  const writing = useFetchers().some((fetcher) => fetcher.state !== "idle");
  const [wanted, setWanted] = useState<readonly ("undo" | "redo")[]>([]);
  const running = useRef(false);
  useEffect(() => {
    const [direction] = wanted;
    if (!direction || writing || !module || running.current) return;
    running.current = true;
    void module
      .step(direction)
      .then((text) => {
        if (text) announce(text);
        after();
      })
      .finally(() => {
        running.current = false;
        setWanted((before) => before.slice(1));
      });
  }, [wanted, writing, module, announce, after]);
  return useCallback((direction) => setWanted((before) => [...before, direction]), []);
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
export function AppContextProvider({ children }: { children: ReactNode }) {
  const { history, module } = useHistory();
  const { revalidate } = useRevalidator();
  const preferences = usePreferences(history);
  const [said, setSaid] = useState("");
  const { settings, saveSettings } = useSettings(preferences.settings);
  useTheme(settings.theme, settings.rev > 0);
  const announce = useCallback((text: string) => setSaid((before) => (before === text ? `${text} ` : text)), []);
  const step = useSteps(module, announce, () => void revalidate());
  const context = useMemo(
    () => ({ ...preferences, settings, saveSettings, history, step, announce, said }),
    [preferences, settings, saveSettings, history, step, announce, said],
  );
  return <Context value={context}>{children}</Context>;
}

export function useAppContext(): AppContext {
  const context = useContext(Context);
  if (!context) throw new Error("this screen stands outside the workshop");
  return context;
}
