import type { LogRecord } from "./record";
import { costOf, COST_SHARES } from "./cost";
import type { CostShare, Rates } from "./cost";

/** What was done in one month. */
export interface MonthSum {
  /** "YYYY-MM". */
  readonly month: string;
  /** Pieces finished. */
  readonly pieces: number;
  /** Minutes by kind of work. */
  readonly minutes: Readonly<Record<string, number>>;
}

/** Kinds of work told apart; the rest is one. */
const MOST_KINDS = 5;
const REST = "rest";

/** The month after. @example nextMonth("2026-12") // "2027-01" */
export function nextMonth(month: string): string {
  const [year, of] = month.split("-").map(Number) as [number, number];
  return of === 12 ? `${year + 1}-01` : `${year}-${String(of + 1).padStart(2, "0")}`;
}

/** Months shown at most: three years. */
const MOST_MONTHS = 36;

/**
 * What was finished month by month, the months with nothing among them: pieces, and hands on them by kind of work. Minutes count in the month the piece was
 * finished in.
 *
 * @returns the latest three years at most; kinds beyond the five largest are together as "rest"
 */
export function monthsOf(records: readonly LogRecord[]): { readonly months: readonly MonthSum[]; readonly kinds: readonly string[] } {
  const dated = records.flatMap((record) => (record.finishedOn === undefined ? [] : [{ record, month: record.finishedOn.slice(0, 7) }]));
  const all = new Map<string, number>();
  for (const { record } of dated) for (const { kind, min } of record.minutes) all.set(kind, (all.get(kind) ?? 0) + min);
  const largest = [...all].sort((a, b) => b[1] - a[1]).map(([kind]) => kind);
  const told = largest.slice(0, MOST_KINDS);
  const kinds = largest.length > MOST_KINDS ? [...told, REST] : told;
  const sorted = [...new Set(dated.map(({ month }) => month))].sort();
  const [first, last] = [sorted[0], sorted.at(-1)];
  if (first === undefined || last === undefined) return { months: [], kinds: [] };
  const months: MonthSum[] = [];
  for (let month = first; month <= last; month = nextMonth(month)) {
    const own = dated.filter((one) => one.month === month).map(({ record }) => record);
    const minutes: Record<string, number> = {};
    for (const { kind, min } of own.flatMap((record) => record.minutes)) {
      const under = told.includes(kind) ? kind : REST;
      minutes[under] = (minutes[under] ?? 0) + min;
    }
    months.push({ month, pieces: own.reduce((sum, { count }) => sum + count, 0), minutes });
  }
  return { months: months.slice(-MOST_MONTHS), kinds };
}

/** What all pieces of some records cost together, by share; a share nobody knows of any is not in it. */
export function costByShare(records: readonly LogRecord[], rates: Rates): readonly { readonly share: CostShare; readonly money: number }[] {
  const costs = records.map((record) => ({ count: record.count, cost: costOf(record, rates) }));
  return COST_SHARES.flatMap((share) => {
    const known = costs.filter(({ cost }) => cost.shares[share] !== null);
    return known.length === 0 ? [] : [{ share, money: known.reduce((sum, { cost, count }) => sum + cost.shares[share]! * count, 0) }];
  });
}
