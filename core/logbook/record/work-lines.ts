import { stepTitle } from "../../coating/explain/step-title";
import type { Names } from "../../coating/explain/step-title";
import type { Pattern } from "../../piece/pattern";
import type { LayerRow } from "../../piece/piece";
import type { ZoneId } from "../../catalogue/vocabulary";
import { actKey, bodyOf, coatsOn, lastAt } from "../body-state";
import type { LaidAct } from "../body-state";
import { kindOfWork } from "../learning/kind-of-work";
import type { ProgressRecord } from "../progress";
import type { MinutesLine, Mishap, RecordedRow, WorkLine } from "./record";

/** A row with what its pattern says of it beyond its count. */
function recordedRow(row: LayerRow, pattern: Pattern | undefined): RecordedRow {
  const index = pattern?.rows.findIndex(({ id }) => id === row.id) ?? -1;
  const { towards, everySecond } = pattern?.rows[index] ?? {};
  return { ...row, ...(index < 0 ? {} : { number: index + 1 }), ...(towards ? { towards } : {}), ...(everySecond ? { everySecond } : {}) };
}

/** What makes the work of two places one line: the same, laid in the same goes. A back that was sealed before the top was begun is another. */
function lineKey({ act, ...laid }: LaidAct): string {
  const { ownProduct, sheen, method, coverage, marks, rows, thinning, mix } = act;
  return JSON.stringify([actKey(act), coatsOn({ ...laid }), ownProduct, sheen, method, coverage, marks, rows, thinning, mix, laid.coats.map(({ at }) => at)]);
}

const firstAt = ({ coats }: LaidAct) => coats.reduce((first, { at }) => (at < first ? at : first), coats[0]!.at);

function lineOf(all: readonly LaidAct[], names: Names, patterns: readonly Pattern[]): WorkLine {
  const [first] = all as readonly [LaidAct, ...LaidAct[]];
  const { wetMicrons: _film, ownProduct, rows, ...act } = first.act;
  const jar = names.jars.find(({ id }) => id === ownProduct);
  return {
    ...act,
    zones: all.map(({ zone }) => zone),
    title: stepTitle({ ...first.act, coats: coatsOn(first) }, names, false),
    ...(rows
      ? {
          rows: rows.map((row) =>
            recordedRow(
              row,
              patterns.find(({ zone }) => zone === first.zone),
            ),
          ),
        }
      : {}),
    ...(jar ? { jar: { id: jar.id, name: jar.name } } : {}),
    coats: coatsOn(first),
    first: all.map(firstAt).reduce((least, at) => (at < least ? at : least)),
    last: all.map(lastAt).reduce((most, at) => (at > most ? at : most)),
  };
}

/**
 * What is on a piece, as its record tells it: once for all places that got it alike, in the order it was begun.
 *
 * @param progress all that was noted of the piece
 * @param names what products, techniques and jars are called now
 * @param patterns its rows of marks, which say which row a mark is of and which way it looks
 */
export function workLines(progress: readonly ProgressRecord[], names: Names, patterns: readonly Pattern[]): readonly WorkLine[] {
  const groups: { readonly key: string; readonly laid: LaidAct[] }[] = [];
  for (const laid of bodyOf(progress)) {
    const key = lineKey(laid);
    const same = groups.find((group) => group.key === key && !group.laid.some(({ zone }) => zone === laid.zone));
    if (same) same.laid.push(laid);
    else groups.push({ key, laid: [laid] });
  }
  const lines = groups.map(({ laid }) => lineOf(laid, names, patterns));
  return lines.sort((a, b) => a.first.localeCompare(b.first));
}

const coatKey = ({ zone, stepId, coat, half }: ProgressRecord) => [zone, stepId, coat, half ?? ""].join("/");

/** Notes of coats that were really laid: those taken back as never laid are none. */
function reallyLaid(progress: readonly ProgressRecord[]): readonly ProgressRecord[] {
  const laid = new Map<string, ProgressRecord[]>();
  for (const one of [...progress].sort((a, b) => a.at.localeCompare(b.at))) {
    const key = coatKey(one);
    if (one.kind === "done") laid.set(key, [...(laid.get(key) ?? []), one]);
    if (one.kind === "removed") laid.set(key, (laid.get(key) ?? []).slice(0, -1));
  }
  return [...laid.values()].flat();
}

/** Minutes of what was done in one go: by the clock where it was seen, else as reckoned; what several places share counts once. */
function goMinutes(go: readonly ProgressRecord[]): readonly MinutesLine[] {
  const timed = go.find(({ actual }) => actual?.work)?.actual?.work?.min;
  const shared = new Set<string>();
  const each = go.map((one) => {
    const { group } = one.act;
    if (group !== undefined && shared.has(`${group}/${one.coat}`)) return { one, min: 0 };
    if (group !== undefined) shared.add(`${group}/${one.coat}`);
    return { one, min: one.handsOnMin ?? 0 };
  });
  const reckoned = each.reduce((sum, { min }) => sum + min, 0);
  return each.map(({ one, min }, index) => {
    const share = reckoned > 0 ? min / reckoned : index === 0 ? 1 : 0;
    return timed === undefined ? { kind: kindOfWork(one.act), min, timedMin: 0 } : { kind: kindOfWork(one.act), min: timed * share, timedMin: timed * share };
  });
}

/**
 * Hands on a piece by kind of work, coats that were ruined with them.
 *
 * @returns the most first; kinds of which nothing is known are not in it
 */
export function minutesOf(progress: readonly ProgressRecord[]): readonly MinutesLine[] {
  const goes = new Map<string, ProgressRecord[]>();
  for (const one of reallyLaid(progress)) goes.set(one.at, [...(goes.get(one.at) ?? []), one]);
  const kinds = new Map<string, { min: number; timedMin: number }>();
  for (const { kind, min, timedMin } of [...goes.values()].flatMap(goMinutes)) {
    const known = kinds.get(kind) ?? { min: 0, timedMin: 0 };
    kinds.set(kind, { min: known.min + min, timedMin: known.timedMin + timedMin });
  }
  return [...kinds]
    .map(([kind, minutes]) => ({ kind, ...minutes }))
    .filter(({ min }) => min > 0)
    .sort((a, b) => b.min - a.min || a.kind.localeCompare(b.kind));
}

/** What went wrong at the bench, by time; what happened to several places at once is one thing. */
export function mishapsOf(progress: readonly ProgressRecord[], names: Names): readonly Mishap[] {
  const found = new Map<string, { readonly of: Omit<Mishap, "zones">; readonly zones: Set<ZoneId> }>();
  for (const { kind, at, act, zone } of progress) {
    if (kind !== "tacky" && kind !== "ruined") continue;
    const title = stepTitle(act, names, false);
    const key = [at, kind, title].join("/");
    const known = found.get(key) ?? { of: { at, kind, title }, zones: new Set<ZoneId>() };
    known.zones.add(zone);
    found.set(key, known);
  }
  return [...found.values()].map(({ of, zones }) => ({ ...of, zones: [...zones] })).sort((a, b) => a.at.localeCompare(b.at));
}
