import { useEffect, useMemo, useState } from "react";
import { Link, useNavigate } from "react-router";
import { MoonStar } from "lucide-react";
import type { TechniqueId } from "#core/catalogue/vocabulary";
import { PRACTISED_TECHNIQUES } from "#core/marking/practice";
import type { MarkTool } from "#core/marking/tool";
import { HOUSEHOLD_TOOLS } from "#core/marking/tool";
import { meanwhile, nextFree } from "#core/logbook/bench/meanwhile";
import type { Go } from "#core/logbook/bench/go";
import type { Look } from "#core/logbook/progress";
import { perform } from "~/actions/perform";
import { askOf } from "~/actions/use-ask";
import { actionOf, doneAsk, startedAsk, touchedAsk } from "~/bench/bench-asks";
import type { OnBench } from "~/bench/bench-loaded.client";
import { goTitle } from "~/bench/bench-words";
import { useSkipped } from "~/bench/skipped";
import type { BenchAsk } from "~/bench/timer-asks";
import { useAlerts, useAwake } from "~/bench/use-alerts";
import { useBench } from "~/bench/use-bench";
import { useAppContext } from "~/components/app-context";
import { Awaited, useLast } from "~/components/awaited";
import { RoomError } from "~/components/room-error";
import { isTyping } from "~/components/shortcuts";
import { skipTo } from "~/components/skip-links";
import { useMenu } from "~/components/use-menu";
import { AskWet } from "~/piece/ask-wet";
import { seedOnce } from "~/demo/seed.client";
import { database } from "~/store/open.client";
import type { Route } from "./+types/route";
import { AloneList } from "./alone-list";
import { BENCH_INTENTS } from "./bench-intents";
import type { Noting } from "./doing";
import { EmptyBench, NotBegun } from "./empty";
import { MeanwhileList } from "./meanwhile-list";
import { NowCard } from "./now-card";
import { OtherGoes } from "./other-goes";
import { SomethingElse } from "./something-else";
import { TellMe } from "./tell-me";
import { NewTimer, RunningTimers } from "./timers";
import { LearntAnew } from "./learnt-anew";
import { ToPutRight } from "./to-put-right";
import { WaitCard } from "./wait-card";

export function loader() {
  return { demo: process.env.NOOK_COAT_DEMO === "1" };
}

export async function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  const db = await database();
  await seedOnce(db, async () => (await serverLoader()).demo);
  const [{ benchLoaded }, tools] = await Promise.all([import("~/bench/bench-loaded.client"), db.getAll("tools")]);
  return { ...(await benchLoaded(db)), tools: [...tools, ...HOUSEHOLD_TOOLS] as readonly MarkTool[] };
}
clientLoader.hydrate = true as const;

export async function clientAction({ request }: Route.ClientActionArgs) {
  const { setTimer, moveTimer, removeTimer } = await import("~/store/timers");
  const db = await database();
  const quiet = async (work: Promise<void>) => (await work, null);
  return perform<BenchAsk, null>(request, BENCH_INTENTS, {
    timer: ({ intent: _intent, ...timer }, by) => quiet(setTimer(db, timer, by)),
    "move-timer": ({ id, until }, by) => quiet(moveTimer(db, id, until, by)),
    "timer-off": ({ id }, by) => quiet(removeTimer(db, id, by)),
    "open-demo": async () => quiet((await import("~/demo/seed.client")).openTernPoint(db)),
  });
}

export function HydrateFallback() {
  return <p>Opening your notebook…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

const isPractised = (technique: TechniqueId): boolean => PRACTISED_TECHNIQUES.includes(technique);

type Loaded = Route.ComponentProps["loaderData"];

/** What may be touched now, what is left alone and until when, and what is next. */
export default function BenchRoom({ loaderData }: Route.ComponentProps) {
  const { on, off, pieces } = loaderData;
  return (
    <>
      <title>Bench – Nook Coat</title>
      {on === 0 ? (
        <EmptyBench off={off} />
      ) : (
        <Awaited of={pieces} waiting={<p role="status">Looking at what lies on the bench…</p>}>
          {(told, busy) => <OnTheBench pieces={told} loaded={loaderData} busy={busy} />}
        </Awaited>
      )}
    </>
  );
}

/** What is laid though something beneath it is wet: it is asked about first. */
interface Doubted {
  readonly piece: OnBench;
  readonly go: Go;
  readonly until: number;
  readonly at: number;
  readonly said: boolean;
}

function OnTheBench({ pieces, loaded, busy }: { pieces: readonly OnBench[]; loaded: Loaded; busy: boolean }) {
  const { timers, tools, off } = loaded;
  const menu = useMenu();
  const navigate = useNavigate();
  const { settings } = useAppContext();
  const { bench, now } = useBench(pieces, loaded);
  const byId = useMemo(() => new Map(pieces.map((piece) => [piece.id, piece])), [pieces]);
  const { isSkipped, skip, takeAllUp } = useSkipped(now);
  const [chosen, choose] = useState<string | null>(null);
  const [doubted, doubt] = useState<Doubted | null>(null);
  useAlerts(bench, timers, pieces, now);
  useAwake(settings.awake);
  const without = useLast(loaded.without) ?? [];
  const free = bench.now.filter((go) => !isSkipped(go.id));
  // What becomes free, or more urgent, while she is at something does not push it from under her hand: only what she notes brings up another.
  const [stays, stay] = useState<{ readonly id: string; readonly noted: string } | null>(null);
  const noted = useMemo(() => pieces.map(({ id, progress }) => `${id} ${progress.length}`).join(), [pieces]);
  const isShown = (id: string | null) => (one: Go) => one.id === id;
  const go = free.find(isShown(chosen)) ?? (stays?.noted === noted ? free.find(isShown(stays.id)) : undefined) ?? free[0] ?? null;
  if (go && (stays?.id !== go.id || stays.noted !== noted)) stay({ id: go.id, noted });
  const piece = go && byId.get(go.piece)!;
  const noteDone = (of: Go, on: OnBench, at: number, said: boolean) => {
    askOf(actionOf(on), doneAsk(on, of.tasks, of.begun, at, said, `${goTitle(of, menu)}, ${on.name}`));
    choose(null);
  };
  const noteTouched = (of: Go, on: OnBench, seen: Look["seen"], at: number) => {
    const ask = touchedAsk(on, of.tasks, at, seen, on.name);
    if (ask) askOf(actionOf(on), ask);
  };
  const notingOf = (of: Go, on: OnBench): Noting => ({
    start: () => void askOf(actionOf(on), startedAsk(on, of.tasks, 0, Date.now())),
    done: (at) => {
      const when = at ?? Date.now();
      // Said to have been done at a time when what lies beneath was wet.
      if (of.from > when) doubt({ piece: on, go: of, until: of.from, at: when, said: at !== undefined });
      else noteDone(of, on, when, at !== undefined);
    },
    count: (count) => {
      if (count >= on.count) noteDone(of, on, Date.now(), false);
      else askOf(actionOf(on), startedAsk(on, of.tasks, count, Date.now()));
    },
    touched: (seen) => {
      noteTouched(of, on, seen, Date.now());
      if (seen === "tacky") choose(null);
    },
    skip: () => {
      skip(of.id);
      choose(null);
    },
  });
  useBenchKeys(free, go, choose);
  const until = nextFree(bench, now);
  const isToBeMixed = (jar: string) => menu.jars.some((one) => one.id === jar && one.mix !== undefined && (one.leftMl ?? 0) <= 0);
  const fillers = meanwhile(bench, pieces, now, isToBeMixed, isPractised);
  return (
    <div aria-busy={busy} data-bench className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_20rem] xl:grid-cols-[minmax(0,1fr)_23rem]">
      <div className="min-w-0" {...skipTo("now", "Skip to what may be touched now")}>
        <h1 className="sr-only">Bench</h1>
        {loaded.learntAnew && !settings.toldLearntAnew && <LearntAnew />}
        <ToPutRight timers={timers} pieces={byId} now={now} />
        {go && piece ? (
          <NowCard key={go.id} go={go} piece={piece} menu={menu} tools={tools} now={now} noting={notingOf(go, piece)} rescue={(to) => void navigate(to)} />
        ) : (
          <WaitCard bench={bench} pieces={byId} menu={menu} now={now} />
        )}
        <OtherGoes goes={free.filter((one) => one !== go)} pieces={byId} menu={menu} now={now} take={choose} />
        {until !== null && (
          <MeanwhileList fillers={fillers.filter((one) => one.kind !== "go" || go === null)} until={until} now={now} pieces={byId} menu={menu} take={choose} />
        )}
        {bench.now.length > free.length && (
          <p className="mt-4 text-soft">
            {bench.now.length - free.length} put off till the morning.{" "}
            <button type="button" className="min-h-[44px] underline" onClick={() => (stay(null), takeAllUp())}>
              Take them up again
            </button>
          </p>
        )}
        {without.length > 0 && (
          <p className="mt-4 text-stop">
            Cannot be planned as they stand:{" "}
            {without.map(({ id, name }, k) => (
              <span key={id}>
                {k > 0 && ", "}
                <Link to={`/pieces/${id}`} className="underline">
                  {name}
                </Link>
              </span>
            ))}
            .
          </p>
        )}
        {pieces.length > 0 && <SomethingElse pieces={pieces} />}
        <NotBegun off={off} />
      </div>
      <aside className="min-w-0" aria-label="Wet, and waited for">
        <p className="mb-3 flex flex-wrap gap-2">
          <Link to="/evening" className="button">
            <MoonStar aria-hidden size={20} /> Evening’s end
          </Link>
          <TellMe />
        </p>
        <RunningTimers timers={timers} now={now} />
        <AloneList
          bench={bench}
          pieces={byId}
          menu={menu}
          now={now}
          touched={(id, seen) => {
            const waiting = bench.alone.find((one) => one.piece === id);
            if (waiting?.then) noteTouched(waiting.then, byId.get(id)!, seen, Date.now());
          }}
          laid={(id) => {
            const waiting = bench.alone.find((one) => one.piece === id);
            if (waiting?.then) doubt({ piece: byId.get(id)!, go: waiting.then, until: waiting.until, at: Date.now(), said: false });
          }}
        />
        <NewTimer />
      </aside>
      {doubted && (
        <AskWet
          open
          title={goTitle(doubted.go, menu)}
          until={doubted.until}
          piece={doubted.piece.id}
          close={() => doubt(null)}
          note={() => noteDone(doubted.go, doubted.piece, doubted.at, doubted.said)}
        />
      )}
    </div>
  );
}

/** The space bar does the likeliest thing on the card that has the focus; arrows take another piece up. */
function useBenchKeys(free: readonly Go[], go: Go | null, choose: (id: string) => void): void {
  const { singleKeys, spaceNotes } = useAppContext().settings;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target) || document.querySelector("[role=dialog],[role=alertdialog]")) return;
      const onButton = event.target instanceof HTMLElement && event.target.closest("button, a, summary") !== null;
      // People press it to scroll: it notes something only on the card that has the focus, or where it was switched on.
      const onCard = event.target instanceof HTMLElement && event.target.closest("[data-now]") !== null;
      if (event.key === " " && (spaceNotes || (singleKeys && onCard)) && !onButton && !event.repeat) {
        event.preventDefault();
        document.querySelector<HTMLElement>("[data-primary]")?.click();
      }
      if ((event.key === "ArrowDown" || event.key === "ArrowUp") && go && free.length > 1) {
        event.preventDefault();
        const at = free.indexOf(go) + (event.key === "ArrowDown" ? 1 : -1);
        choose(free[(at + free.length) % free.length]!.id);
        requestAnimationFrame(() => document.querySelector<HTMLElement>("[data-now]")?.focus());
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [free, go, choose, singleKeys, spaceNotes]);
}
