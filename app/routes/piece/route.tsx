import { NavLink, Outlet, redirect } from "react-router";
import { pieceId } from "#core/catalogue/ids";
import { MOST_OF_BATCH } from "#core/formats/change-schema";
import { daySchema } from "#core/formats/hours-schema";
import { recordIdSchema } from "#core/formats/stores/definition";
import { setNameSchema } from "#core/formats/stores/pieces";
import type { PieceRecord } from "#core/formats/stores/pieces";
import { dateOf } from "#core/schedule/free-hours";
import { perform } from "~/actions/perform";
import { ClashNotes } from "~/components/clash-notes";
import { sayMass } from "#core/units/mass";
import { weightUnit } from "~/casting/casting-words";
import { useAppContext } from "~/components/app-context";
import { RoomError } from "~/components/room-error";
import { Silhouette } from "~/components/shape/silhouette";
import { timeZoneHere } from "~/components/time-zone";
import { nameIn, useMenu } from "~/components/use-menu";
import { sayFact } from "~/components/words";
import { useTyped } from "~/components/use-typed";
import { changesField } from "~/piece/change-asks";
import { keptPiece } from "~/piece/kept-piece";
import { useRecord } from "~/piece/use-record";
import type { PieceAsk, SaveChanges } from "~/piece/use-record";
import type { Route } from "./+types/route";
import { More } from "./more";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const [kept, { clashesOf }] = await Promise.all([keptPiece(params.id), import("~/store/clashes.client")]);
  return { kept, clashes: clashesOf(params.id) };
}
clientLoader.hydrate = true as const;

export async function clientAction({ request, params }: Route.ClientActionArgs) {
  const [{ database }, { copyPiece, pieceById, removePiece, savePiece, setApart, setKeeping }, { GonePiece }, clashes] = await Promise.all([
    import("~/store/open.client"),
    import("~/store/pieces"),
    import("~/store/plans"),
    import("~/store/clashes.client"),
  ]);
  const id = pieceId(params.id);
  return perform<PieceAsk, Response | null>(
    request,
    {
      change: (joi) => ({ seen: joi.object().unknown().required(), changes: changesField(joi) }),
      "take-theirs": (joi) => ({ key: joi.string().max(40).required() }),
      "keep-with": (joi) => ({ set: setNameSchema(joi).allow(""), putAway: daySchema(joi).allow(""), standsAt: setNameSchema(joi).allow("") }),
      copy: (joi) => ({ copy: recordIdSchema(joi).required() }),
      "set-apart": (joi) => ({ copy: recordIdSchema(joi).required(), many: joi.number().integer().min(1).max(MOST_OF_BATCH).required() }),
      remove: () => ({}),
    },
    {
      change: async ({ seen, changes }, by) => {
        const saved = await savePiece(await database(), id, seen, changes, clashes.ownValuesOf(id), by);
        if (saved.kind === "gone") throw new GonePiece();
        const key = clashes.clashKey(
          "piece",
          changes.flatMap((one) => (one.op === "setPiece" ? [one.path] : [])),
        );
        if (saved.kind === "clash")
          clashes.noteClash(id, {
            key,
            what: saved.paths.map(sayFact),
            again: { action: `/pieces/${id}`, ask: { intent: "change", seen: saved.theirs.piece, changes } as PieceAsk },
          });
        else clashes.settleClash(id, key);
        return null;
      },
      "take-theirs": async ({ key }) => {
        clashes.settleClash(id, key);
        return null;
      },
      "keep-with": async ({ intent: _intent, ...keeping }, by) => {
        await setKeeping(await database(), [id], keeping, by);
        return null;
      },
      copy: async ({ copy }, by) => {
        await copyPiece(await database(), id, pieceId(copy), by);
        return redirect(`/pieces/${copy}`);
      },
      "set-apart": async ({ copy, many }, by) => {
        await setApart(await database(), id, pieceId(copy), many, by);
        return redirect(`/pieces/${copy}/rescue`);
      },
      remove: async (_ask, by) => {
        const db = await database();
        await removePiece(db, id, (await pieceById(db, id))?.piece.name, by);
        return redirect("/pieces");
      },
    },
  );
}

const ROOMS = [
  { to: "", end: true, label: "Plan", seen: "Plan", short: "Plan" },
  { to: "/dates", end: false, label: "Dates", seen: "Dates", short: "Dates" },
  { to: "/ways", end: false, label: "Other ways", seen: "Ways", short: "Ways" },
  { to: "/marks", end: false, label: "Marking out", seen: "Marking", short: "Mark" },
  { to: "/mixing", end: false, label: "Mixing", seen: "Mixing", short: "Mix" },
  { to: "/sheet", end: false, label: "Bench sheet", seen: "Sheet", short: "Sheet" },
  { to: "/card", end: false, label: "Care card", seen: "Card", short: "Card" },
  { to: "/record", end: false, label: "Record", seen: "Record", short: "Rec" },
] as const;

/** A piece: its name, its rooms, and whichever of them is open. */
export default function PiecePage() {
  const menu = useMenu();
  const { record, clashes, save, remove, takeTheirs, keepMine, copy, putAway, putInSet } = useRecord();
  const { settings } = useAppContext();
  const { piece } = record;
  const body = menu.materials.find((one) => one.id === piece.material);
  return (
    <>
      <title>{`${piece.name} – Nook Coat`}</title>
      <div className="mb-4 grid items-end gap-x-4 border-b-2 border-ink print:hidden lg:grid-cols-[minmax(0,1fr)_auto]">
        <div className="flex min-w-0 items-center gap-3 pb-1">
          <Silhouette piece={piece} body={body?.colour ?? "#999999"} texture={body?.texture ?? "dense"} />
          <div className="min-w-0 grow">
            <Name record={record} save={save} />
            <p className="leading-snug text-soft">
              {body?.name}; {piece.uses.map((use) => nameIn(menu.uses, use).toLowerCase()).join(", ")}
              {(piece.count ?? 1) > 1 && `; ${piece.count} of them`}
              {piece.body?.weightG !== undefined && `; about ${sayMass(piece.body.weightG, weightUnit(settings.units))} each`}
            </p>
          </div>
        </div>
        <div className="flex items-end justify-between gap-2">
          <nav aria-label="This piece" className="flex flex-wrap sm:gap-x-1">
            {ROOMS.map(({ to, end, label, seen, short }) => (
              // Whole addresses: one that goes on from where the page is would go on from the next page, clicked while that is on its way.
              <NavLink
                key={to}
                to={`/pieces/${record.id}${to}`}
                end={end}
                className="tab max-sm:px-[2px] max-sm:text-[0.82rem]"
                aria-label={label}
                title={label}
              >
                <span className="max-sm:hidden">{seen}</span>
                <span className="sm:hidden">{short}</span>
              </NavLink>
            ))}
          </nav>
          <More record={record} copy={copy} putAway={(away) => putAway(away ? dateOf(Date.now(), timeZoneHere()) : "")} putInSet={putInSet} remove={remove} />
        </div>
      </div>
      <ClashNotes clashes={clashes} keepMine={keepMine} takeTheirs={takeTheirs} />
      <Outlet />
    </>
  );
}

export function ErrorBoundary() {
  return <RoomError />;
}

function Name({ record, save }: { record: PieceRecord; save: SaveChanges }) {
  const field = useTyped({
    value: record.piece.name,
    text: (name) => name,
    read: (text) => (text.trim() === "" ? { wrong: "a piece needs a name" } : { value: text.trim() }),
    save: (name, before) => save([{ op: "setPiece", path: "name", value: name }], { seen: { ...record.piece, name: before }, typed: true }),
  });
  return (
    <h1 className="text-2xl sm:text-3xl">
      <textarea
        aria-label="Name of the piece"
        maxLength={120}
        rows={1}
        value={field.text}
        aria-invalid={field.wrong !== null}
        className="block w-full resize-none border-b-2 border-transparent bg-transparent hover:border-line focus:border-ready [field-sizing:content]"
        onFocus={field.begin}
        onChange={(event) => field.type(event.target.value.replace(/\n/g, " "))}
        onBlur={() => {
          field.leave();
          if (field.wrong !== null) field.forget();
        }}
        onKeyDown={(event) => {
          if (event.key !== "Enter") return;
          event.preventDefault();
          event.currentTarget.blur();
        }}
      />
    </h1>
  );
}
