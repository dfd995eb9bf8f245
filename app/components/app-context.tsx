import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState } from "react";
import type { ReactNode } from "react";
import { useRevalidator, useSubmit } from "react-router";
import type { Menu } from "#core/catalogue/menu";
import type { RoomRecord } from "#core/formats/stores/rooms";
import type { SettingsRecord } from "#core/formats/stores/settings";
import type { FreeHours } from "#core/schedule/free-hours";
import { adoptAsks, asks } from "~/actions/asks.client";
import { useAsk, useAsked } from "~/actions/use-ask";
import type { HistoryState } from "~/store/history.client";
import type { NotebookState } from "~/store/open.client";
import { useNow } from "./use-now";
import type { SettingsChange } from "~/store/preferences";

type HistoryAsk = { readonly intent: "undo" | "redo" } | { readonly intent: "bring-back"; readonly actId: string };

/** What every room shares, as the root's loader gives it. */
export interface Preferences {
  readonly settings: SettingsRecord;
  readonly rooms: readonly RoomRecord[];
  readonly hours: FreeHours;
  readonly history: HistoryState;
  /** Jars on the shelf, by id and name. */
  readonly jars: Menu["jars"];
  /** Values that this notebook and a file say differently, and that are not decided. */
  readonly differences: number;
  /** Why the browser's database does not open; null when it does. */
  readonly trouble: string | null;
}

export interface AppContext extends Preferences {
  /** @param typed the user is still typing: it is saved when they rest */
  readonly saveSettings: (change: SettingsChange, typed?: boolean) => void;
  readonly step: (direction: "undo" | "redo") => void;
  /** Brings back what an act removed, whatever was done since. */
  readonly bringBack: (actId: string) => void;
  /** Says something to whoever listens rather than looks. */
  readonly announce: (text: string) => void;
  readonly said: string;
  readonly notebook: NotebookState;
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
  const saveSettings = useCallback(
    (change: SettingsChange, typed = false) => void ask({ intent: "settings", change }, typed ? { about: `settings/${Object.keys(change).join()}` } : {}),
    [ask],
  );
  return { settings, saveSettings };
}

/** Reloads what another tab has saved. */
function useOtherTabs(): void {
  const { revalidate } = useRevalidator();
  useEffect(() => {
    let stop: (() => void) | null = null;
    let gone = false;
    void import("~/store/open.client").then(({ onOtherTab }) => {
      if (!gone) stop = onOtherTab(() => void revalidate());
    });
    return () => {
      gone = true;
      stop?.();
    };
  }, [revalidate]);
}

const AS_USUAL: NotebookState = { tooOld: false, blocked: false, slow: false, readOnly: false, putBack: null };

/** How the notebook stands in this tab. */
export function useNotebookState(): NotebookState {
  const [state, setState] = useState(AS_USUAL);
  useEffect(() => {
    let stop: (() => void) | null = null;
    let gone = false;
    void import("~/store/open.client").then(({ notebookState, onNotebookState }) => {
      if (gone) return;
      setState(notebookState());
      stop = onNotebookState(() => setState(notebookState()));
    });
    return () => {
      gone = true;
      stop?.();
    };
  }, []);
  return state;
}

/** Sends what is asked through the router, and takes over what a page that is gone could not write any more. */
function useAsksSent(): void {
  const submit = useSubmit();
  useEffect(() => {
    asks.connect(({ key, action, ask, about, left }) => {
      const body = { ...ask, askKey: key, ...(about === null ? {} : { askAbout: about }), ...(left ? { askLeft: true } : {}) };
      return submit(body as never, { method: "post", action, encType: "application/json", navigate: false, fetcherKey: `ask-${key}` });
    });
    void adoptAsks();
  }, [submit]);
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
  useOtherTabs();
  useAsksSent();
  const notebook = useNotebookState();
  useClock();
  const announce = useCallback((text: string) => setSaid((before) => (before === text ? `${text} ` : text)), []);
  const ask = useAsk<HistoryAsk>("/history", false);
  const step = useCallback((intent: "undo" | "redo") => void ask({ intent }), [ask]);
  const bringBack = useCallback((actId: string) => void ask({ intent: "bring-back", actId }), [ask]);
  const last = preferences.history.said;
  const heard = useRef(last?.step);
  useEffect(() => {
    if (!last || last.step === heard.current) return;
    heard.current = last.step;
    announce(last.text);
  }, [last, announce]);
  const context = useMemo(
    () => ({ ...preferences, settings, saveSettings, step, bringBack, announce, said, notebook }),
    [preferences, settings, saveSettings, step, bringBack, announce, said, notebook],
  );
  return <Context value={context}>{children}</Context>;
}

export function useAppContext(): AppContext {
  const context = useContext(Context);
  if (!context) throw new Error("this screen stands outside the app's context");
  return context;
}
