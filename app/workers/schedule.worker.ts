import { expose } from "comlink";
import { calendarOf } from "#core/schedule/together/calendar";
import type { Calendar } from "#core/schedule/together/calendar";
import { improving } from "#core/schedule/together/schedule-all";
import { breath } from "./breath";
import type { ScheduleWorkerApi } from "./schedule-worker-api";

/** What is looked for now: the latest wins, and then what is found by then is taken. */
let turn = 0;

const api: ScheduleWorkerApi = {
  schedule: async ({ pieces, hours, timeZone, start, goal, hands, places, days }, told) => {
    turn += 1;
    const own = turn;
    const works = pieces.map(({ likes, ...piece }) => ({ ...piece, likeOf: ({ id }: { readonly id: string }) => likes[id] ?? id }));
    let last: Calendar | null = null;
    let best: unknown = null;
    for (const { best: now, tried, of } of improving({ pieces: works, hours, start, goal, hands, places })) {
      const better = now !== best;
      if (better) last = calendarOf(now, hours, timeZone, start, days);
      best = now;
      told({ calendar: better ? last : null, tried, of });
      await breath();
      if (own !== turn) break;
    }
    return last;
  },
  enough: () => {
    turn += 1;
  },
};

expose(api);
