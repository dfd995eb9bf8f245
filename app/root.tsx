import { Links, Meta, Outlet, Scripts, ScrollRestoration, useParams } from "react-router";
import { useEffect } from "react";
import type { ReactNode } from "react";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { menuOf } from "#core/catalogue/menu";
import type { Menu } from "#core/catalogue/menu";
import { USUAL_SETTINGS } from "#core/formats/stores/settings";
import { usualHours } from "#core/schedule/free-hours";
import { AppContextProvider, useNotebookState } from "~/components/app-context";
import type { Preferences } from "~/components/app-context";
import { RoomError } from "~/components/room-error";
import { KeptShut } from "~/components/notices";
import { keepPlaces } from "~/components/kept-place";
import { Steady } from "~/components/steady";
import { Frame, Shell } from "~/components/shell";
import { timeZoneHere } from "~/components/time-zone";
import { useServiceWorker } from "~/components/use-service-worker";
import { historyState } from "~/store/history.client";
import { database } from "~/store/open.client";
import { hoursIn, roomsIn, settingsIn } from "~/store/preferences";
import { shelfIn, stockIn } from "~/store/shelf";
import type { Database } from "~/store/database";
import type { Route } from "./+types/root";
import { DIFFERENCES_STORE } from "~/store/beside";
import "./styles/app.css";

export function loader() {
  return { menu: menuOf(CATALOGUE) };
}

/** The catalogue does not change while a page is open: it is asked for once. */
let catalogued: ReturnType<typeof loader> | null = null;

/** What every room needs of a jar to name it, and to offer it. */
async function jarsIn(db: Database): Promise<Menu["jars"]> {
  const jars = await shelfIn(db);
  const stock = await stockIn(db, jars);
  return jars.map(({ id, name, classId, colour, mix }) => {
    const leftMl = stock.get(id);
    return {
      id,
      name,
      classId,
      ...(colour === undefined ? {} : { colour }),
      ...(leftMl === undefined ? {} : { leftMl }),
      ...(mix === undefined ? {} : { mix }),
    };
  });
}

/** How many values are said differently, and are to be decided; a notebook of a newer Nook Coat may have no such store. */
async function differencesToDecide(db: Database): Promise<number> {
  if (!db.objectStoreNames.contains(DIFFERENCES_STORE) || (await db.count(DIFFERENCES_STORE)) === 0) return 0;
  const { differencesIn } = await import("~/store/differences");
  return (await differencesIn(db)).length;
}

/** Settings, rooms and hours; the usual ones, and why, where the browser's database does not open. */
async function preferencesHere(): Promise<Preferences> {
  try {
    const db = await database();
    const [settings, rooms, hours, history, jars, differences] = await Promise.all([
      settingsIn(db),
      roomsIn(db),
      hoursIn(db, timeZoneHere()),
      historyState(db),
      jarsIn(db),
      differencesToDecide(db),
    ]);
    return { settings, rooms, hours, history, jars, differences, trouble: null };
  } catch (error) {
    const trouble = error instanceof Error ? error.message : "the browser does not say why";
    return {
      settings: USUAL_SETTINGS,
      rooms: [],
      hours: usualHours("UTC"),
      jars: [],
      differences: 0,
      history: { undo: null, redo: null, said: null },
      trouble,
    };
  }
}

export async function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  const [known, preferences] = await Promise.all([catalogued ?? serverLoader(), preferencesHere()]);
  catalogued = known;
  return { menu: { ...known.menu, jars: preferences.jars }, preferences };
}
clientLoader.hydrate = true as const;

export const links: Route.LinksFunction = () => [
  { rel: "icon", type: "image/svg+xml", href: "/favicon.svg" },
  { rel: "manifest", href: "/manifest.webmanifest" },
];

export function Layout({ children }: { children: ReactNode }) {
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <meta name="theme-color" content="#faf7f0" />
        <script src="/theme.js" />
        <Meta />
        <Links />
      </head>
      <body className="min-h-dvh">
        {children}
        <ScrollRestoration />
        <Scripts />
      </body>
    </html>
  );
}

export function HydrateFallback() {
  const { blocked, slow } = useNotebookState();
  return (
    <Frame>
      <KeptShut blocked={blocked} slow={slow} />
      <p>Opening your notebook…</p>
    </Frame>
  );
}

export default function Root({ loaderData }: Route.ComponentProps) {
  const { isNewer, reload } = useServiceWorker();
  useEffect(keepPlaces, []);
  // What is typed on one piece or record never stands on the next: another one is another page.
  const { id, set } = useParams();
  return (
    <AppContextProvider preferences={loaderData.preferences}>
      <Shell renewed={isNewer ? reload : null}>
        <Steady>
          <Outlet key={id ?? set ?? ""} />
        </Steady>
      </Shell>
    </AppContextProvider>
  );
}

/** The frame stands even when what is in it does not. */
export function ErrorBoundary() {
  return (
    <Frame>
      <RoomError />
    </Frame>
  );
}
