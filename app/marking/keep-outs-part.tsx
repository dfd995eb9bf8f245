import { Plus, X } from "lucide-react";
import type { ReactNode } from "react";
import { usualKeepOuts } from "#core/marking/keep-outs";
import type { UsualKeepOut } from "#core/marking/keep-outs";
import { PATTERN_LIMITS } from "#core/piece/pattern";
import type { KeepOut, RowPlace } from "#core/piece/pattern";
import { NumberField } from "~/components/number-field";
import { ToolButton } from "~/components/tool-button";
import type { LookProps } from "./look-props";

const NAMES: Readonly<Record<UsualKeepOut["id"], string>> = {
  works: "Room for the works and hands",
  numerals: "Places of the numerals",
  hanger: "Round the hanging hole",
};
const ANY: KeepOut = { count: 1, at: { insetMm: 10 }, diameterMm: 10 };

const FAR: Readonly<Record<string, string>> = { radiusMm: "From the middle", heightMm: "Above the foot", insetMm: "In from the edge" };

function KeepOutFields({ one, index, change, remove }: { one: KeepOut; index: number; change: (next: KeepOut) => void; remove: () => void }) {
  const [measure, mm] = Object.entries(one.at)[0] as [string, number];
  return (
    <li className="sheet grid grid-cols-2 items-end gap-2 p-2 sm:grid-cols-[1fr_1fr_1fr_auto]">
      <NumberField
        label="How many"
        value={one.count}
        whole
        bounds={{ least: 1, most: PATTERN_LIMITS.guides.most }}
        save={(count) => count !== undefined && change({ ...one, count })}
      />
      <NumberField
        label={FAR[measure] ?? "How far"}
        unit="mm"
        value={mm}
        bounds={PATTERN_LIMITS.placeMm}
        save={(value) => value !== undefined && change({ ...one, at: { [measure]: value } as unknown as RowPlace })}
      />
      <NumberField
        label="Across"
        unit="mm"
        value={one.diameterMm}
        bounds={PATTERN_LIMITS.diameterMm}
        save={(value) => value !== undefined && change({ ...one, diameterMm: value })}
      />
      <ToolButton icon={X} label={`Do not keep place ${index + 1} free`} onClick={remove} />
    </li>
  );
}

interface KeepOutsProps extends Pick<LookProps, "pattern" | "place" | "subject" | "change"> {
  /** What else is to be done here. */
  readonly children?: ReactNode;
}

/** Round places no mark may lie on. */
export function KeepOutsPart({ pattern, place, subject, change, children }: KeepOutsProps) {
  const kept = pattern.keepOuts ?? [];
  const save = (next: readonly KeepOut[]) => change(next.length > 0 ? { keepOuts: next } : {}, next.length > 0 ? [] : ["keepOuts"]);
  const usual = usualKeepOuts(place.surface, subject.object, subject.parts);
  const add = (one: KeepOut) => save([...kept, one]);
  const full = kept.length >= PATTERN_LIMITS.keepOuts;
  return (
    <div className="grid gap-2 print:hidden">
      {kept.length > 0 && (
        <ul className="grid gap-2" aria-label="Places kept free">
          {kept.map((one, index) => (
            <KeepOutFields
              key={index}
              one={one}
              index={index}
              change={(next) => save(kept.map((other, at) => (at === index ? next : other)))}
              remove={() => save(kept.filter((_other, at) => at !== index))}
            />
          ))}
        </ul>
      )}
      <div className="flex flex-wrap gap-2">
        {usual.map(({ id, keepOut }) => (
          <button key={id} type="button" className="button" disabled={full} onClick={() => add(keepOut)}>
            <Plus aria-hidden size={18} /> {NAMES[id]}
          </button>
        ))}
        <button type="button" className="button" disabled={full} onClick={() => add(ANY)}>
          <Plus aria-hidden size={18} /> Keep a place free
        </button>
        {children}
      </div>
    </div>
  );
}
