import { useSyncExternalStore } from "react";
import type { ReactNode } from "react";
import { Trash2 } from "lucide-react";
import { roomId } from "#core/catalogue/ids";
import { hoursSchema } from "#core/formats/hours-schema";
import { recordIdSchema } from "#core/formats/stores/definition";
import { roomFields } from "#core/formats/stores/rooms";
import { settingsFields } from "#core/formats/stores/settings";
import type { SettingsRecord } from "#core/formats/stores/settings";
import type { Room } from "#core/piece/piece";
import { usualHours } from "#core/schedule/free-hours";
import type { FreeHours } from "#core/schedule/free-hours";
import { perform } from "~/actions/perform";
import { useAsk, useAsked } from "~/actions/use-ask";
import { useAppContext } from "~/components/app-context";
import { Radios, Tick } from "~/components/fields";
import { Guard } from "~/components/guard";
import { timeZoneHere } from "~/components/time-zone";
import { RoomError } from "~/components/room-error";
import { skipTo } from "~/components/skip-links";
import { useTyped } from "~/components/use-typed";
import { UNIT_CHOICES } from "~/components/words";
import { freshId } from "~/store/fresh-id";
import type { SettingsChange } from "~/store/preferences";
import type { Route } from "./+types/route";
import { Differences } from "./differences";
import { Files } from "./files";
import type { FilesAsk, Outcome } from "./files-commands.client";
import { Hours } from "./hours";
import { Readings } from "./readings";
import { OwnTimesTold } from "./own-times";
import { Rooms } from "./rooms";

type Ask =
  | { readonly intent: "settings"; readonly change: SettingsChange }
  | { readonly intent: "hours"; readonly seen: FreeHours; readonly hours: FreeHours }
  | { readonly intent: "add-room"; readonly id: string; readonly name: string; readonly room: Room }
  | { readonly intent: "remove-room"; readonly id: string }
  | { readonly intent: "open-demo" }
  | { readonly intent: "close-demo" }
  | { readonly intent: "decide"; readonly ids: readonly string[]; readonly whose: "mine" | "theirs" }
  | FilesAsk;

export async function clientLoader() {
  const [{ database }, { timesLearnt }, { hasTernPoint }, { backupState, roomLeft }] = await Promise.all([
    import("~/store/open.client"),
    import("~/store/own-times"),
    import("~/demo/seed.client"),
    import("~/store/backup.client"),
  ]);
  const { differencesIn } = await import("~/store/differences");
  const db = await database();
  const [pieces, photos, ternPoint, room, learnt] = await Promise.all([db.count("pieces"), db.count("photos"), hasTernPoint(db), roomLeft(), timesLearnt(db)]);
  const { wearLearntIn } = await import("~/store/own-wear");
  return { pieces, photos, ternPoint, room, learnt, worn: await wearLearntIn(db), backup: backupState(), differences: await differencesIn(db) };
}
clientLoader.hydrate = true as const;

export async function clientAction({ request }: Route.ClientActionArgs) {
  const [{ database }, demo, preferences, files] = await Promise.all([
    import("~/store/open.client"),
    import("~/demo/seed.client"),
    import("~/store/preferences"),
    import("./files-commands.client"),
  ]);
  const db = await database();
  const quiet = async (work: Promise<unknown>) => (await work, null);
  return perform<Ask, Outcome | null>(
    request,
    {
      settings: (joi) => ({ change: joi.object(settingsFields(joi)).required() }),
      hours: (joi) => ({ seen: hoursSchema(joi).required(), hours: hoursSchema(joi).required() }),
      "add-room": (joi) => ({ id: recordIdSchema(joi).required(), ...roomFields(joi) }),
      "remove-room": (joi) => ({ id: recordIdSchema(joi).required() }),
      "open-demo": () => ({}),
      "close-demo": () => ({}),
      export: (joi) => ({ photographs: joi.boolean().required() }),
      decide: (joi) => ({ ids: joi.array().items(joi.string().max(400)).min(1).required(), whose: joi.string().valid("mine", "theirs").required() }),
      import: (joi) => ({ file: joi.string().max(40).required() }),
      wipe: () => ({}),
      "set-aside": (joi) => ({ id: joi.string().max(60).required() }),
    },
    {
      settings: ({ change }, by) => quiet(preferences.saveSettings(db, change, by)),
      hours: ({ seen, hours }, by) => quiet(preferences.saveHours(db, seen, hours, by)),
      "add-room": ({ id, name, room }, by) => quiet(preferences.addRoom(db, name, room, roomId(id), by)),
      "remove-room": ({ id }, by) => quiet(preferences.removeRoom(db, roomId(id), by)),
      "open-demo": () => quiet(demo.openTernPoint(db)),
      "close-demo": (_ask, by) => quiet(demo.closeTernPoint(db, by)),
      export: ({ photographs }) => files.asFile(new Date(), photographs),
      decide: async ({ ids, whose }, by) => quiet((await import("~/store/differences")).decideDifferences(db, ids, whose, by)),
      import: ({ file }) => files.bringIn(file),
      wipe: () => files.wipe(),
      "set-aside": ({ id }) => files.asideFile(id),
    },
  );
}

export function ErrorBoundary() {
  return <RoomError />;
}

function Box({ id, title, mend, children }: { id?: string; title: string; mend?: () => void; children: ReactNode }) {
  return (
    <section {...(id === undefined ? {} : skipTo(id, `Skip to: ${title}`))} className="sheet p-4">
      <h2 className="mb-2 text-xl">{title}</h2>
      <Guard
        of={children}
        instead={
          <>
            <p className="text-stop">This part of the notebook is damaged and cannot be shown. Save the notebook to a file; what is damaged is in it too.</p>
            {mend && (
              <button type="button" className="button mt-2" onClick={mend}>
                Begin it anew
              </button>
            )}
          </>
        }
      >
        {children}
      </Guard>
    </section>
  );
}

/** The name the user signs with: saved while it is typed. */
function Signature({ value, save }: { value: string; save: (signature: string) => void }) {
  const field = useTyped({ value, text: (name) => name, read: (text) => ({ value: text.trim() }), save });
  return (
    <label className="block">
      <span className="block">How you sign</span>
      <input
        className="field"
        maxLength={80}
        value={field.text}
        onFocus={field.begin}
        onChange={(event) => field.type(event.target.value)}
        onBlur={field.leave}
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
  const { settings, saveSettings: set, hours: kept, rooms } = useAppContext();
  const send = useAsk<Ask>("/settings");
  const asked = useAsked<Ask>("/settings");
  // What is being saved is built on, not what was saved before it.
  const hours = asked.reduce((current, one) => (one.intent === "hours" ? one.hours : current), kept);
  const known = [...rooms.map((one) => one.name), ...asked.flatMap((one) => (one.intent === "add-room" ? [one.name] : []))];
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
                value={settings.units}
                choices={UNIT_CHOICES}
                onChange={(units) => set({ units: units as SettingsRecord["units"] })}
              />
              <Signature value={settings.signature} save={(signature) => set({ signature }, true)} />
            </div>
          </Box>
          <Box id="keys" title="Look, sound and keys">
            <div className="grid gap-3">
              <Radios
                legend="Pages"
                value={settings.theme}
                choices={[
                  { id: "system", name: "as the device" },
                  { id: "light", name: "light" },
                  { id: "dim", name: "dim, for the evening" },
                ]}
                onChange={(theme) => set({ theme: theme as SettingsRecord["theme"] })}
              />
              <Tick name="Sound two soft notes when a wait has ended" on={settings.sounds} onChange={(sounds) => set({ sounds })} />
              <Tick
                name="Single keys do things: N a new piece, D done, 1 to 5 the places"
                on={settings.singleKeys}
                onChange={(singleKeys) => set({ singleKeys })}
              />
              <Tick
                name="The space bar marks what the Bench shows as done, wherever you are on the page; else only on the card you have chosen"
                on={settings.spaceNotes}
                onChange={(spaceNotes) => set({ spaceNotes })}
              />
            </div>
          </Box>
          <Box id="rooms" title="Your rooms">
            <Rooms
              known={known}
              add={(name, room) => void send({ intent: "add-room", id: freshId(), name, room })}
              remove={(id) => void send({ intent: "remove-room", id })}
            />
            <Readings known={known} add={(name, room) => void send({ intent: "add-room", id: freshId(), name, room })} />
          </Box>
          <Box id="own-times" title="Your own times">
            <OwnTimesTold learnt={loaderData.learnt} worn={loaderData.worn} on={settings.ownTimes} set={(ownTimes) => set({ ownTimes })} />
          </Box>
          <Device />
        </div>
        <div className="grid gap-5">
          <Box
            id="hours"
            title="When your hands are free"
            mend={() => {
              const usual = usualHours(timeZoneHere());
              send({ intent: "hours", seen: usual, hours: usual });
            }}
          >
            <Hours hours={hours} save={(next) => void send({ intent: "hours", seen: hours, hours: next })} />
          </Box>
          {loaderData.differences.length > 0 && (
            <Box id="differences" title="Said differently">
              <Differences differences={loaderData.differences} decide={(ids, whose) => void send({ intent: "decide", ids, whose })} />
            </Box>
          )}
          <Box id="files" title="Your notebook as a file">
            <Files pieces={loaderData.pieces} photos={loaderData.photos} backup={loaderData.backup} room={loaderData.room} />
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
