import { Check, RotateCcw } from "lucide-react";
import { MOST_PLACES } from "#core/formats/stores/calendar";
import type { CalendarRecord, InSitting } from "#core/formats/stores/calendar";
import { beginsOf } from "#core/schedule/together/calendar";
import type { Calendar } from "#core/schedule/together/calendar";
import { Radios, Tick } from "~/components/fields";
import { NumberField } from "~/components/number-field";
import type { CalendarAsk } from "./calendar-asks";

interface Props {
  readonly record: CalendarRecord;
  readonly ask: (ask: CalendarAsk) => void;
}

const GOAL_CHOICES = [
  { id: "earliest", name: "Ready as early as may be" },
  { id: "fewest-sittings", name: "On as few evenings as may be" },
  { id: "latest-begin", name: "Begun as late as is safe for its days" },
];

const ROOMS = [
  { field: "rackPlaces", label: "Room for wet pieces" },
  { field: "ovenPlaces", label: "Pieces in the oven at once" },
] as const;

/** What the days are laid out for, how many hands there are, and how much room. */
export function Manner({ record, ask }: Props) {
  const setGoal = (goal: string) => ask({ intent: "manner", chosen: { goal: goal as CalendarRecord["goal"] } });
  return (
    <div className="mt-6 flex flex-wrap items-end gap-x-6 gap-y-2 print:hidden">
      <Radios legend="The work is laid out so that it is" value={record.goal} choices={GOAL_CHOICES} onChange={setGoal} />
      <Tick name="Somebody helps" on={record.hands > 1} onChange={(on) => ask({ intent: "manner", chosen: { hands: on ? 2 : 1 } })} />
      {ROOMS.map(({ field, label }) => (
        <div key={field} className="w-44">
          <NumberField
            label={label}
            value={record[field] ?? undefined}
            typical="not said"
            bounds={{ least: 1, most: MOST_PLACES }}
            whole
            save={(places) => ask({ intent: "manner", chosen: { [field]: places ?? null } })}
          />
        </div>
      ))}
    </div>
  );
}

/** Dates as they are kept. */
export const inSittings = (calendar: Calendar): readonly InSitting[] => beginsOf(calendar).map((one) => ({ ...one, at: new Date(one.at).toISOString() }));

/** Whether the dates stand, or are laid out anew each time they are looked at. */
export function Standing({ record, calendar, ask }: Props & { readonly calendar: Calendar }) {
  if (record.agreed.length === 0)
    return (
      <button
        type="button"
        className="button print:hidden"
        title="What is missed later moves; all the rest stays"
        onClick={() => ask({ intent: "agree", agreed: inSittings(calendar) })}
      >
        <Check aria-hidden size={18} /> Keep these dates
      </button>
    );
  return (
    <span className="flex flex-wrap items-center gap-3 print:hidden">
      <span>
        <Check aria-hidden size={18} className="mr-1 inline text-ready" />
        These dates stand
      </span>
      <button type="button" className="button" onClick={() => ask({ intent: "anew" })}>
        <RotateCcw aria-hidden size={18} /> Lay all anew
      </button>
    </span>
  );
}
