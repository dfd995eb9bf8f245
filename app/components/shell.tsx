import { Dialog } from "radix-ui";
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";
import type { ReactNode } from "react";
import { Link, NavLink, useFetcher, useLocation, useNavigate } from "react-router";
import { Amphora, BookOpen, Brush, CalendarDays, Keyboard, PaintBucket, Palette, Redo2, Search, Settings2, Undo2 } from "lucide-react";
import { Notices, SavedMark, Told } from "./notices";
import { editsText, isTyping, SHORTCUTS } from "./shortcuts";
import { ToolButton } from "./tool-button";
import type * as PaletteModuleType from "./palette";
import { NAMES_KEY } from "./names-key";
import { SkipLinks, skipTo } from "./skip-links";
import { useFocusKept } from "./use-focus-kept";
import { useCalls } from "~/bench/use-calls";
import { useAppContext } from "./app-context";

type PaletteModule = typeof PaletteModuleType;

/**
 * The palette's code, fetched once the page rests with the names it finds, or when it is opened before that; null until it is here. It is not drawn lazily:
 * what is lazy shows nothing for a third of a second when it first comes.
 */
function usePalette(wanted: boolean): PaletteModule | null {
  const [loaded, setLoaded] = useState<PaletteModule | null>(null);
  const { load } = useFetcher({ key: NAMES_KEY });
  const [missing, setMissing] = useState<unknown>(null);
  const fetchIt = useCallback(() => void import("./palette").then(setLoaded).catch(setMissing), []);
  useEffect(() => {
    const soon = window.requestIdleCallback ?? ((work: () => void) => window.setTimeout(work, 2000));
    soon(() => {
      fetchIt();
      void load("/names");
    });
  }, [fetchIt, load]);
  useEffect(() => {
    if (wanted && !loaded) fetchIt();
  }, [wanted, loaded, fetchIt]);
  // A part that is gone with an older version is told of where parts are told of.
  if (wanted && !loaded && missing !== null) throw missing;
  return loaded;
}

const PLACES = [
  { to: "/", label: "Bench", icon: Brush },
  { to: "/pieces", label: "Pieces", icon: Amphora },
  { to: "/desk", label: "Desk", icon: Palette },
  { to: "/calendar", label: "Calendar", icon: CalendarDays },
  { to: "/shelf", label: "Shelf", icon: PaintBucket },
  { to: "/logbook", label: "Logbook", icon: BookOpen },
] as const;

function useKeys(open: (what: "palette" | "shortcuts") => void): void {
  const { step, settings } = useAppContext();
  const { singleKeys } = settings;
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const command = event.ctrlKey || event.metaKey;
      const key = event.key.toLowerCase();
      if (command && key === "k") {
        event.preventDefault();
        open("palette");
        return;
      }
      if (event.altKey || document.querySelector("[role=dialog],[role=alertdialog]")) return;
      if (command && key === "z" && !editsText(event.target)) {
        event.preventDefault();
        step(event.shiftKey ? "redo" : "undo");
      }
      if (command || !singleKeys || isTyping(event.target)) return;
      const place = PLACES[Number(key) - 1];
      if (place) void navigate(place.to);
      if (key === "n") void navigate("/pieces/new");
      if (event.key === "?") open("shortcuts");
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [navigate, open, step, singleKeys]);
}

/** A new page takes the focus, so that it is read from its top; hands that are in the page already are left where they are. */
function useFocusOnPage(): void {
  const { pathname } = useLocation();
  const first = useRef(pathname);
  useLayoutEffect(() => {
    if (first.current === pathname) return;
    first.current = pathname;
    const page = document.getElementById("page");
    if (document.activeElement !== page && page?.contains(document.activeElement)) return;
    page?.focus({ preventScroll: true });
  }, [pathname]);
}

type Shown = "palette" | "shortcuts" | null;

/** What is opened over the page. When it is closed, the focus goes back to what had it before. */
function useOver(): readonly [Shown, (next: Shown) => void] {
  const [showing, setShowing] = useState<Shown>(null);
  const opener = useRef<{ readonly element: Element | null; readonly page: string } | null>(null);
  const open = useCallback((next: Shown) => {
    const element = document.activeElement;
    if (next !== null && !element?.closest("[role=dialog]")) opener.current = { element, page: window.location.pathname };
    setShowing(next);
  }, []);
  useEffect(() => {
    if (showing !== null || opener.current === null) return;
    // After the dialog has let go of the focus, which it does a moment after it is gone.
    const timer = setTimeout(() => {
      const { element = null, page = "" } = opener.current ?? {};
      opener.current = null;
      // Another page has taken the focus itself.
      if (element instanceof HTMLElement && element.isConnected && page === window.location.pathname) element.focus();
    });
    return () => clearTimeout(timer);
  }, [showing]);
  return [showing, open];
}

function Shortcuts({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const { singleKeys } = useAppContext().settings;
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-black/50" />
        <Dialog.Content
          className="note fixed left-1/2 top-1/2 z-20 max-h-[92dvh] w-[min(92vw,32rem)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto p-5"
          aria-describedby={undefined}
        >
          <Dialog.Title className="text-2xl">Keys</Dialog.Title>
          <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
            {SHORTCUTS.filter((one) => singleKeys || !one.single).map(({ keys, does }) => (
              <div key={keys} className="contents">
                <dt>
                  <kbd className="rounded border border-soft px-2 py-0.5 font-text">{keys}</kbd>
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <p className="mt-3 text-soft">
            {singleKeys ? "Keys without Ctrl can be switched off" : "Other keys without Ctrl are switched off"} in{" "}
            <Link to="/settings#keys" className="underline" onClick={() => onOpenChange(false)}>
              Settings
            </Link>
            .
          </p>
          <Dialog.Close className="button mt-4">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** Name and places, and what stands beside them. On a phone the places stand at the foot, under the thumb. */
function Header({ children }: { children?: ReactNode }) {
  return (
    <header className="border-b-2 border-ink bg-sheet print:hidden">
      <div className="mx-auto flex min-h-[52px] max-w-7xl items-center gap-x-1 px-3 py-1 sm:gap-x-6 sm:px-4">
        <Link to="/" className="font-display text-xl text-ink no-underline">
          Nook Coat
        </Link>
        <nav
          aria-label="Places"
          className="flex max-sm:fixed max-sm:inset-x-0 max-sm:bottom-0 max-sm:z-10 max-sm:border-t-2 max-sm:border-ink max-sm:bg-sheet sm:gap-1 print:hidden"
        >
          {PLACES.map(({ to, label, icon: Icon }) => (
            <NavLink
              key={to}
              to={to}
              end={to === "/"}
              className="tab max-sm:grow max-sm:basis-0 max-sm:flex-col max-sm:justify-center max-sm:gap-0 max-sm:rounded-none max-sm:px-0 max-sm:text-sm"
            >
              <Icon aria-hidden size={20} className="sm:hidden" />
              {label}
            </NavLink>
          ))}
        </nav>
        {children}
      </div>
    </header>
  );
}

/** The frame without what is loaded: shown while the notebook opens, and when it does not. */
export function Frame({ children }: { children: ReactNode }) {
  return (
    <>
      <Header />
      <main id="page" tabIndex={-1} className="mx-auto max-w-7xl px-4 py-5 outline-none max-sm:pb-24">
        {children}
      </main>
    </>
  );
}

function Tools({ open }: { open: (what: "palette" | "shortcuts") => void }) {
  const { history, step } = useAppContext();
  return (
    <div className="ml-auto flex items-center sm:gap-1">
      <SavedMark />
      <ToolButton
        icon={Undo2}
        label={history.undo ? `Take back ${history.undo}` : "Take back"}
        title={history.undo ? `Take back ${history.undo}` : "Nothing to take back"}
        disabled={!history.undo}
        onClick={() => step("undo")}
      />
      <ToolButton
        icon={Redo2}
        label={history.redo ? `Do again ${history.redo}` : "Do again"}
        title={history.redo ? `Do again: ${history.redo}` : "Nothing to do again"}
        disabled={!history.redo}
        onClick={() => step("redo")}
      />
      <ToolButton icon={Search} label="Find or do" title="Find or do (Ctrl K)" onClick={() => open("palette")} />
      <NavLink to="/settings" className="tool aria-[current=page]:bg-note-tint" title="Settings">
        <Settings2 aria-hidden size={20} />
        <span className="sr-only">Settings</span>
      </NavLink>
      <ToolButton icon={Keyboard} className="max-sm:hidden" label="Keys" title="Keys (?)" onClick={() => open("shortcuts")} />
    </div>
  );
}

/** The frame of every screen: places, undo, the palette, the keys, and a voice for screen readers. */
export function Shell({ renewed, children }: { renewed: (() => void) | null; children: ReactNode }) {
  const { said } = useAppContext();
  const [showing, setShowing] = useOver();
  useKeys(setShowing);
  useFocusOnPage();
  useFocusKept();
  useCalls();
  const palette = usePalette(showing === "palette");
  return (
    <>
      <SkipLinks />
      <Header>
        <Tools open={setShowing} />
      </Header>
      <main {...skipTo("page", "Skip to the page")} tabIndex={-1} className="mx-auto max-w-7xl px-4 py-5 outline-none max-sm:pb-24">
        <Notices renewed={renewed} />
        {children}
      </main>
      <Told />
      <p role="status" aria-live="polite" className="sr-only" data-voice>
        {said}
      </p>
      <Shortcuts open={showing === "shortcuts"} onOpenChange={(open) => setShowing(open ? "shortcuts" : null)} />
      {showing === "palette" && palette && <palette.Palette close={() => setShowing(null)} showKeys={() => setShowing("shortcuts")} />}
    </>
  );
}
