import { useEffect, useMemo, useState } from "react";
import type { ReactNode } from "react";
import { Link, useSearchParams } from "react-router";
import { PaintBucket, Plus, ShoppingBasket } from "lucide-react";
import { jarId } from "#core/catalogue/ids";
import type { JarId } from "#core/catalogue/ids";
import type { Jar } from "#core/catalogue/jar";
import { instantSchema } from "#core/formats/hours-schema";
import { recordIdSchema } from "#core/formats/stores/definition";
import { dateOf } from "#core/schedule/free-hours";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { promisesOf } from "#core/shelf/promises";
import { ANY_JAR, shelfRows, soughtIn } from "#core/shelf/shelf-rows";
import { changedJar } from "#core/shelf/jar-change";
import type { ShelfRow, Sought } from "#core/shelf/shelf-rows";
import { stockOf } from "#core/shelf/stock";
import { perform } from "~/actions/perform";
import { useAsk, useAsked } from "~/actions/use-ask";
import { ShelfClashes } from "~/shelf/shelf-clashes";
import { useLast } from "~/components/awaited";
import { Choice, Radios } from "~/components/fields";
import { RoomError } from "~/components/room-error";
import { timeZoneHere } from "~/components/time-zone";
import { useNow } from "~/components/use-now";
import { freshId } from "~/store/fresh-id";
import { jarChangeField, jarsField } from "~/shelf/shelf-asks";
import type { ShelfAsk } from "~/shelf/shelf-asks";
import { KINDS, shelfWith } from "~/shelf/shelf-view";
import type { ChangeJar } from "~/shelf/shelf-view";
import type { Route } from "./+types/route";
import { BagList } from "~/casting/bag-list";
import { useCasting } from "~/casting/use-casting";
import { BasicSet } from "./basic-set";
import { CanMake } from "./can-make";
import { InAndOut } from "./in-and-out";
import { JarPage } from "./jar-page";
import { JarTable } from "./jar-table";
import { Lids } from "./lids";
import { NewJar } from "./new-jar";
import { useSetParam } from "~/components/use-set-param";

export async function clientLoader() {
  const [{ shelfLoaded }, { castingLoaded }] = await Promise.all([import("~/shelf/shelf-loaded.client"), import("~/casting/casting-loaded.client")]);
  const [shelf, casting] = await Promise.all([shelfLoaded(), castingLoaded()]);
  return { ...shelf, casting };
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Looking along the shelf…</p>;
}

export async function clientAction({ request }: Route.ClientActionArgs) {
  const [{ database }, shelf] = await Promise.all([import("~/store/open.client"), import("~/store/shelf")]);
  const db = await database();
  return perform<ShelfAsk, null>(
    request,
    {
      add: (joi) => ({ jars: jarsField(joi) }),
      change: (joi) => ({ id: recordIdSchema(joi).required(), change: jarChangeField(joi), seen: joi.object().unknown() }),
      "take-theirs": (joi) => ({ key: joi.string().max(80).required() }),
      mix: (joi) => ({ id: recordIdSchema(joi).required(), ml: joi.number().min(0.1).max(10_000).required(), at: instantSchema(joi).required() }),
      copy: (joi) => ({ id: recordIdSchema(joi).required(), copy: recordIdSchema(joi).required() }),
      remove: (joi) => ({ id: recordIdSchema(joi).required(), name: joi.string().max(120).required() }),
    },
    {
      add: async ({ jars }, by) => (await shelf.addJars(db, jars, by), null),
      change: async (one, by) => (await import("~/shelf/change-jar.client")).changeJarAsked(one, by),
      "take-theirs": async ({ key }) => (await import("~/shelf/change-jar.client")).leaveTheirs(key),
      mix: async ({ id, ml, at }, by) => (await shelf.mixPuddle(db, jarId(id), ml, at, by), null),
      copy: async ({ id, copy }, by) => (await shelf.copyJar(db, jarId(id), jarId(copy), by), null),
      remove: async ({ id, name }, by) => (await shelf.removeJar(db, id, name, by), null),
    },
  );
}

export function ErrorBoundary() {
  return <RoomError />;
}

/** Jars in the page at once: every one of them has boxes and lists of its own. */
const MOST_AT_ONCE = 120;

const LOOKS = [
  { id: "table", name: "table" },
  { id: "lids", name: "lids" },
];
const ONLY = [
  { id: "", name: "all" },
  { id: "low", name: "low or empty" },
  { id: "old", name: "old" },
  { id: "promised", name: "promised" },
  { id: "unpromised", name: "not promised" },
];

/** What is looked for. */
function Seek({ sought, seek, rows, children }: { sought: Sought; seek: (next: Sought) => void; rows: readonly ShelfRow[]; children: ReactNode }) {
  const kinds = KINDS.filter((kind) => rows.some((row) => row.jar.classId === kind.id)).map(({ id, name }) => ({ id, name }));
  return (
    <div className="mt-4 grid grid-cols-2 items-end gap-2 sm:grid-cols-[2fr_1fr_1fr_auto]">
      <label className="max-sm:col-span-2">
        <span className="block">Look for</span>
        <input type="search" className="field" value={sought.text} onChange={(event) => seek({ ...sought, text: event.target.value })} />
      </label>
      <Choice label="Kind" value={sought.kind} choices={[{ id: "", name: "every kind" }, ...kinds]} onChange={(kind) => seek({ ...sought, kind })} />
      <Choice label="Only" value={sought.only} choices={ONLY} onChange={(only) => seek({ ...sought, only: only as Sought["only"] })} />
      <div className="max-sm:col-span-2">{children}</div>
    </div>
  );
}

/** An empty shelf: the two ways to fill it. */
function Bare({ begin, basic }: { begin: () => void; basic: () => void }) {
  return (
    <section className="note mt-6 max-w-prose p-6">
      <h2 className="text-2xl">What stands on your shelf?</h2>
      <p className="mt-2">
        Say what you own and every plan is made from it first: which jar for which coat, how much of it, what is missing. A line a jar is enough; what its label
        says wins over what is typical.
      </p>
      <p className="mt-4 flex flex-wrap gap-2">
        <button type="button" className="button button-act" onClick={begin}>
          <Plus aria-hidden size={20} /> Put a jar on it
        </button>
        <button type="button" className="button" onClick={basic}>
          <PaintBucket aria-hidden size={20} /> I have a basic set
        </button>
      </p>
    </section>
  );
}

export default function Shelf({ loaderData }: Route.ComponentProps) {
  const ask = useAsk<ShelfAsk>("/shelf");
  const asked = useAsked<ShelfAsk>("/shelf");
  const { jars: kept, damaged, laid, wanting, clashes } = loaderData;
  const jars = useMemo(() => shelfWith(kept, asked), [kept, asked]);
  const left = useMemo(() => stockOf(jars, laid), [jars, laid]);
  const casting = useCasting(loaderData.casting);
  const wanted = useLast(wanting);
  const today = dateOf(useNow(), timeZoneHere());
  const [lids, showLids] = useSetParam("look");
  const look = lids === "lids" ? "lids" : "table";
  const setLook = (next: string) => showLids(next === "lids" ? "lids" : null);
  // Going back closes the jar that was opened.
  const [jar, open] = useSetParam("jar", false);
  const [adding, setAdding] = useSetParam("add");
  const [params, setParams] = useSearchParams();
  const colour = params.get("colour");
  const closeNew = () =>
    setParams(
      (before) => {
        const after = new URLSearchParams(before);
        after.delete("add");
        after.delete("colour");
        return after;
      },
      { replace: true, preventScrollReset: true },
    );
  const [sought, seek] = useState<Sought>(ANY_JAR);
  const rows = useMemo(() => {
    const promised =
      wanted &&
      promisesOf(
        jars.map((one) => one.id),
        left,
        wanted.pieces,
      );
    return shelfRows(jars, left, promised, CATALOGUE, today);
  }, [jars, left, wanted, today]);
  const shown = soughtIn(rows, sought);
  const [most, showMore] = useState(MOST_AT_ONCE);
  const first = shown.slice(0, most);
  const add = (more: readonly Jar[]) => void ask({ intent: "add", jars: more });
  const change: ChangeJar = (id, fields, about, was) => {
    const shown = jars.find((one) => one.id === id);
    const seen = shown && changedJar(shown, was ?? {});
    const all: ShelfAsk = { intent: "change", id, change: fields, ...(seen ? { seen } : {}) };
    if (about === undefined) return void ask(all);
    // What was known when it was begun is known still: what lay in between was never saved.
    ask(all, { about, over: (earlier) => (earlier.intent === "change" && earlier.seen ? { ...all, seen: earlier.seen } : all) });
  };
  const copy = (id: JarId) => void ask({ intent: "copy", id, copy: freshId() });
  const remove = ({ jar: { id, name } }: ShelfRow) => {
    if (jar === id) open(null);
    void ask({ intent: "remove", id, name });
  };
  const opened = rows.find((row) => row.jar.id === jar);
  // A jar that is gone is not left open in the address.
  const isGone = jar !== null && opened === undefined;
  useEffect(() => {
    if (isGone) open(null);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only when it goes
  }, [isGone]);
  return (
    <>
      <title>Shelf – Nook Coat</title>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl">Shelf</h1>
        <div className="flex flex-wrap gap-2">
          {rows.length > 0 && (
            <Link to="/shelf/shopping" className="button">
              <ShoppingBasket aria-hidden size={20} /> Shopping list
            </Link>
          )}
          {rows.length > 0 && adding === null && (
            <button type="button" className="button button-act" onClick={() => setAdding("jar")}>
              <Plus aria-hidden size={20} /> Put a jar on it
            </button>
          )}
        </div>
      </div>
      <ShelfClashes clashes={clashes} />
      {adding === "jar" && <NewJar key={colour} shelf={jars} colour={colour} add={(one) => add([one])} close={closeNew} />}
      {adding === "set" && (
        <BasicSet
          add={(set) => {
            add(set);
            setAdding(null);
          }}
          close={() => setAdding(null)}
        />
      )}
      {damaged.length > 0 && (
        <div role="alert" className="notice mt-4 bg-warn-tint">
          <p>{damaged.length === 1 ? "One jar is" : `${damaged.length} jars are`} too damaged to be read. A saved notebook has them too, set aside.</p>
          <button type="button" className="button mt-2" onClick={() => damaged.forEach((id) => void ask({ intent: "remove", id, name: "a damaged jar" }))}>
            Take the damaged off the shelf
          </button>
        </div>
      )}
      {rows.length === 0 ? (
        adding === null && <Bare begin={() => setAdding("jar")} basic={() => setAdding("set")} />
      ) : (
        <>
          <CanMake jars={jars} left={left} wanted={wanted} />
          <Seek sought={sought} seek={seek} rows={rows}>
            <Radios legend="Show it as" value={look} choices={LOOKS} onChange={setLook} />
          </Seek>
          <p role="status" className={shown.length === rows.length ? "sr-only" : "mt-2 text-soft"}>
            {shown.length === rows.length ? `${rows.length === 1 ? "One jar" : `${rows.length} jars`}` : `${shown.length} of ${rows.length} jars`}
          </p>
          {look === "lids" ? <Lids rows={first} open={open} /> : <JarTable rows={first} open={open} change={change} copy={copy} remove={remove} />}
          {shown.length > most && (
            <button type="button" className="button mt-3" onClick={() => showMore(most + MOST_AT_ONCE)}>
              Show more: {shown.length - most} are not shown
            </button>
          )}
        </>
      )}
      <div className="mt-8 max-w-2xl">
        <BagList casting={casting} title="Powder and resin to cast and pour" />
      </div>
      <InAndOut jars={jars} left={left} today={today} add={add} />
      {opened && <JarPage row={opened} wanted={wanted} rows={rows} change={change} copy={copy} remove={remove} close={() => open(null)} />}
    </>
  );
}
