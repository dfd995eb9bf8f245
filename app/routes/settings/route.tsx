import { useState, useSyncExternalStore } from "react";
import type { ReactNode } from "react";
import { useFetcher } from "react-router";
import { Trash2 } from "lucide-react";
import { roomId } from "#core/catalogue/ids";
import type { SettingsRecord } from "#core/formats/stores/settings";
import type { Room } from "#core/piece/piece";
import type { FreeHours } from "#core/schedule/free-hours";
import { useAppContext } from "~/components/app-context";
import { addRoom, removeRoom, saveHours, saveSettings } from "~/store/preferences";
import type { SettingsChange } from "~/store/preferences";
import type { Route } from "./+types/route";
import { Files } from "./files";
import { Hours } from "./hours";
import { Rooms } from "./rooms";

type Ask =
  | { readonly intent: "settings"; readonly change: SettingsChange }
  | { readonly intent: "hours"; readonly hours: FreeHours }
  | { readonly intent: "add-room"; readonly name: string; readonly room: Room }
  | { readonly intent: "remove-room"; readonly id: string }
  | { readonly intent: "open-demo" | "close-demo" };

export async function clientLoader() {
  const [{ database }, { hasTernPoint }] = await Promise.all([import("~/store/open.client"), import("~/demo/seed.client")]);
  const db = await database();
  const [pieces, ternPoint] = await Promise.all([db.count("pieces"), hasTernPoint(db)]);
  return { pieces, ternPoint };
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Opening your notebook…</p>;
}

export async function clientAction({ request }: Route.ClientActionArgs) {
  const ask = (await request.json()) as Ask;
  const [{ database }, { openTernPoint, closeTernPoint }] = await Promise.all([import("~/store/open.client"), import("~/demo/seed.client")]);
  const db = await database();
  switch (ask.intent) {
    case "settings":
      await saveSettings(db, ask.change);
      break;
    case "hours":
      await saveHours(db, ask.hours);
      break;
    case "add-room":
      await addRoom(db, ask.name, ask.room);
      break;
    case "remove-room":
      await removeRoom(db, roomId(ask.id));
      break;
    case "open-demo":
      await openTernPoint(db);
      break;
    case "close-demo":
      await closeTernPoint(db);
      break;
  }
  return null;
}

function Box({ id, title, children }: { id?: string; title: string; children: ReactNode }) {
  return (
    <section id={id} className="sheet p-4">
      <h2 className="mb-2 text-xl">{title}</h2>
      {children}
    </section>
  );
}

function Radios({
  legend,
  name,
  value,
  choices,
  onChange,
}: {
  legend: string;
  name: string;
  value: string;
  choices: readonly { readonly id: string; readonly name: string }[];
  onChange: (id: string) => void;
}) {
  return (
    <fieldset>
      <legend className="mb-1">{legend}</legend>
      <div className="flex flex-wrap gap-2">
        {choices.map((one) => (
          <label key={one.id} className="chip">
            <input type="radio" name={name} className="accent-ready" checked={value === one.id} onChange={() => onChange(one.id)} />
            {one.name}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

/** The name the user signs with: saved when the user leaves the field. */
function Signature({ value, save }: { value: string; save: (signature: string) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  return (
    <label className="block">
      <span className="block">How you sign</span>
      <input
        className="field"
        maxLength={80}
        value={draft ?? value}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={() => {
          if (draft !== null && draft.trim() !== value) save(draft.trim());
          setDraft(null);
        }}
      />
    </label>
  );
}

/** What this browser, here, can and cannot do. */
function Device() {
  const secure = useSyncExternalStore<boolean | null>(
    () => () => {},
    () => window.isSecureContext,
    () => null,
  );
  if (secure === null) return null;
  return (
    <Box title="On this device">
      {secure ? (
        <p>After this visit Nook Coat opens without the network too. Your browser's menu can install it like an app.</p>
      ) : (
        <p>
          This page is open over plain http, so your browser does not let it work without its server, be installed, or keep the screen awake. Everything else
          works; keep the computer that serves it running.
        </p>
      )}
    </Box>
  );
}

export default function Settings({ loaderData }: Route.ComponentProps) {
  const { settings, saveSettings: set, hours } = useAppContext();
  const fetcher = useFetcher();
  const send = (ask: Ask) => void fetcher.submit(ask as never, { method: "post", encType: "application/json" });
  return (
    <>
      <title>Settings – Nook Coat</title>
      <h1 className="text-3xl">Settings</h1>
      <div className="mt-4 grid items-start gap-5 lg:grid-cols-2">
        <div className="grid gap-5">
          <Box title="How you measure and sign">
            <div className="grid gap-3">
              <Radios
                legend="Lengths in"
                name="units"
                value={settings.units}
                choices={[
                  { id: "mm", name: "millimetres" },
                  { id: "in", name: "inches" },
                ]}
                onChange={(units) => set({ units: units as SettingsRecord["units"] })}
              />
              <Signature value={settings.signature} save={(signature) => set({ signature })} />
            </div>
          </Box>
          <Box title="Look and sound">
            <div className="grid gap-3">
              <Radios
                legend="Pages"
                name="theme"
                value={settings.theme}
                choices={[
                  { id: "system", name: "as the device" },
                  { id: "light", name: "light" },
                  { id: "dim", name: "dim, for the evening" },
                ]}
                onChange={(theme) => set({ theme: theme as SettingsRecord["theme"] })}
              />
              <label className="chip w-fit">
                <input type="checkbox" className="accent-ready" checked={settings.sounds} onChange={() => set({ sounds: !settings.sounds })} />
                Sound two soft notes when a wait has ended
              </label>
            </div>
          </Box>
          <Box id="rooms" title="Your rooms">
            <Rooms add={(name, room) => send({ intent: "add-room", name, room })} remove={(id) => send({ intent: "remove-room", id })} />
          </Box>
          <Device />
        </div>
        <div className="grid gap-5">
          <Box id="hours" title="When your hands are free">
            <Hours hours={hours} save={(next) => send({ intent: "hours", hours: next })} />
          </Box>
          <Box id="files" title="Your notebook as a file">
            <Files pieces={loaderData.pieces} />
          </Box>
          <Box title="Tern Point, to look around in">
            <p className="mb-2">Made-up pieces of a lighthouse tea room, in all stages of work. They lie beside your own and never over them.</p>
            {loaderData.ternPoint ? (
              <button type="button" className="button" onClick={() => send({ intent: "close-demo" })}>
                <Trash2 aria-hidden size={18} /> Remove the Tern Point notebook
              </button>
            ) : (
              <button type="button" className="button" onClick={() => send({ intent: "open-demo" })}>
                Open the Tern Point notebook
              </button>
            )}
          </Box>
        </div>
      </div>
    </>
  );
}
