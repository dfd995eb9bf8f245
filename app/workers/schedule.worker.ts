import { expose } from "comlink";
import { asPieceWork } from "#core/logbook/bench/work-left";
import { calendarOf } from "#core/schedule/together/calendar";
import type { Calendar } from "#core/schedule/together/calendar";
import { bestExtra, boughtBy, inTimeOf, withSitting } from "#core/schedule/together/cures";
import { besideOf, datesIn, latestBegin } from "#core/schedule/together/one-piece";
import { improvingTo } from "#core/schedule/together/goals";
import { timeFindings } from "#core/schedule/together/time-findings";
import { whatIfs } from "#core/schedule/together/what-if-all";
import type { WhatIfAll } from "#core/schedule/together/what-if-all";
import type { Together, TogetherAsk } from "#core/schedule/together/schedule-all";
import { breath } from "./breath";
import type { ScheduleQuestion, ScheduleWorkerApi, Tried } from "./schedule-worker-api";

/** What is looked for now: the latest wins, and then what is found by then is taken. */
let turn = 0;
/** Orders tried of how a careful painter waits: it is told beside the usual one. */
const CAREFUL_TRIES = 10;

/** The first sitting goes by rule, so that the Bench, which does not try, says the same of it. */
function askOf({ pieces, hours, start, goal, hands, places }: ScheduleQuestion): TogetherAsk {
  return { pieces: pieces.map(asPieceWork), hours, start, goal, hands, places, ruled: true };
}

/** The best schedule of all pieces, in breaths; null where the free hours do not suffice, or something newer is asked. */
async function best(ask: TogetherAsk, isWanted: () => boolean): Promise<Together | null> {
  let found: Together | null = null;
  for (const { best: now } of improvingTo(ask)) {
    found = now;
    await breath();
    if (!isWanted()) return found;
  }
  return found;
}

const api: ScheduleWorkerApi = {
  dates: async (question, piece) => {
    turn += 1;
    const own = turn;
    const isWanted = () => own === turn;
    const ask = askOf(question);
    const usual = await best(ask, isWanted);
    const careful = isWanted() ? await best({ ...ask, careful: true, tries: CAREFUL_TRIES }, isWanted) : null;
    const dates = usual && datesIn(usual, piece);
    return {
      usual: dates,
      careful: careful && datesIn(careful, piece),
      findings: usual ? timeFindings(usual, piece) : [],
      ...(dates && isWanted() ? besideOf(ask, piece, dates) : { latest: null, alone: null }),
    };
  },
  schedule: async (question, told) => {
    turn += 1;
    const own = turn;
    const { hours, timeZone, start, days } = question;
    let last: Calendar | null = null;
    let known: unknown = null;
    for (const { best: now, tried, of } of improvingTo(askOf(question))) {
      const better = now !== known;
      if (better) last = calendarOf(now, hours, timeZone, start, days);
      known = now;
      told({ calendar: better ? last : null, tried, of });
      await breath();
      if (own !== turn) break;
    }
    return last;
  },
  cures: async (question, piece, late, variants) => {
    const own = turn;
    const ask = askOf(question);
    const due = ask.pieces.find(({ id }) => id === piece)?.due ?? null;
    if (due === null) return [];
    const extra = bestExtra(ask, piece, due);
    const isStanding = ask.pieces.some(({ agreed }) => agreed !== undefined && agreed.size > 0);
    const others: readonly (readonly [string, TogetherAsk])[] = [
      ...(isStanding ? [["anew", { ...ask, pieces: ask.pieces.map((one) => ({ ...one, agreed: new Map<string, number>() })) }] as const] : []),
      ...(question.hands > 1 ? [] : [["helper", { ...ask, hands: 2 }] as const]),
      ...(extra ? [["evening", { ...ask, hours: withSitting(ask.hours, extra) }] as const] : []),
      ...variants.map(({ key, piece: work }) => [key, { ...ask, pieces: ask.pieces.map((one) => (one.id === piece ? asPieceWork(work) : one)) }] as const),
    ];
    const tried: Tried[] = [];
    for (const [key, other] of others) {
      await breath();
      if (own !== turn) break;
      const bought = boughtBy(late, other, piece);
      if (bought) tried.push({ ...bought, key, ...(key === "evening" && extra ? { extra } : {}) });
    }
    return tried;
  },
  inTimeOf: async (question, piece) => inTimeOf(askOf(question), piece),
  whatIf: async (question) => {
    // It stands back for whatever is asked meanwhile, and takes nothing from what is looked for now.
    const own = turn;
    const ask = askOf(question);
    const isStanding = ask.pieces.some(({ agreed }) => agreed !== undefined && agreed.size > 0);
    const ifs: WhatIfAll[] = [];
    for (const one of whatIfs(ask)) {
      if (one) ifs.push(one);
      await breath();
      if (own !== turn) break;
    }
    return { ifs, latest: isStanding || own !== turn ? null : (latestBegin(ask)?.at ?? null) };
  },
  enough: () => {
    turn += 1;
  },
};

expose(api);
