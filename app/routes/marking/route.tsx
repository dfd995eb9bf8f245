import { useMemo } from "react";
import { FORM_MEASURES, LEAST_LENGTH_MM, MAX_LENGTH_MM, measureFault, USUAL_FORMS } from "#core/piece/form";
import type { Form, FormKind } from "#core/piece/form";
import type { Pattern } from "#core/piece/pattern";
import { changedPattern } from "#core/marking/changed-pattern";
import { surfaceOf } from "#core/marking/surface-of";
import type { ZoneId } from "#core/catalogue/vocabulary";
import { Choice } from "~/components/fields";
import { NumberField } from "~/components/number-field";
import { RoomError } from "~/components/room-error";
import { FORM_NAMES, MEASURE_NAMES } from "~/components/form-words";
import { zoneName } from "~/components/words";
import { DeskRooms } from "~/components/desk-rooms";
import { MarkingDesk } from "~/marking/marking-desk";
import { useMarking } from "~/marking/use-marking";
import { useDesk } from "~/mixing/use-desk";
import type { Route } from "./+types/route";

export async function clientLoader() {
  return (await import("~/marking/marking-loaded.client")).markingLoaded();
}
clientLoader.hydrate = true as const;

export async function clientAction({ request }: Route.ClientActionArgs) {
  return (await import("~/marking/marking-loaded.client")).performMarking(request);
}

export { notForAnotherLook as shouldRevalidate } from "~/mixing/should-load";

export function HydrateFallback() {
  return <p>Laying out the desk…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

/** Places of a form by itself, the one that is painted first. */
const PLACES: Readonly<Partial<Record<FormKind, readonly ZoneId[]>>> = {
  pebble: ["top"],
  dome: ["top", "back"],
  disc: ["top", "edge"],
  frustum: ["outside", "rim", "saucer"],
  cylinder: ["outside", "lid"],
  box: ["lid", "body"],
  plate: ["rim", "food-side"],
  goblet: ["outside", "foot"],
};
const KINDS = Object.keys(PLACES) as FormKind[];
const COLOURS = ["#f4efe2", "#d9822b", "#ffffff"];
const GROUND = "#2f4a5a";

interface State {
  readonly form: Form;
  readonly zone: ZoneId;
  readonly pattern: Pattern;
}

const START: State = { form: USUAL_FORMS.dome, zone: "top", pattern: { zone: "top", rows: [] } };

/** Marking out by itself: a body by its measures, not yet a piece. */
export default function MarkingRoom({ loaderData }: Route.ComponentProps) {
  const marking = useMarking(loaderData);
  const [{ form, zone, pattern }, set] = useDesk<State>("marking", START);
  const places = PLACES[form.kind] ?? ["top"];
  const place = useMemo(() => {
    const surface = surfaceOf(form, zone, pattern.radiiMm ? { radiiMm: pattern.radiiMm } : {});
    return surface && { zone, surface, areaMm2: 0, stayBare: null };
  }, [form, zone, pattern.radiiMm]);
  const takeForm = (next: Form) => {
    const there = PLACES[next.kind] ?? ["top"];
    const at = there.includes(zone) ? zone : there[0]!;
    const same = next.kind === form.kind;
    set({ form: next, zone: at, pattern: same ? pattern : { zone: at, rows: [] } });
  };
  const measures = FORM_MEASURES[form.kind] as readonly string[];
  const sizes = form as unknown as Readonly<Record<string, number>>;
  return (
    <>
      <title>Marking out – Nook Coat</title>
      <DeskRooms />
      <div className="mb-5 mt-3 grid items-end gap-3 sm:grid-cols-[repeat(auto-fit,minmax(9rem,1fr))]">
        <Choice
          label="Shape"
          value={form.kind}
          choices={KINDS.map((id) => ({ id, name: FORM_NAMES[id] }))}
          onChange={(kind) => takeForm(USUAL_FORMS[kind as FormKind])}
        />
        {measures.map((name) => (
          <NumberField
            key={`${form.kind}-${name}`}
            label={MEASURE_NAMES[name] ?? name}
            unit="mm"
            value={sizes[name]}
            bounds={{ least: LEAST_LENGTH_MM, most: MAX_LENGTH_MM }}
            save={(value) => value !== undefined && measureFault(form, name, value) === null && takeForm({ ...form, [name]: value } as Form)}
          />
        ))}
        {places.length > 1 && (
          <Choice
            label="Place"
            value={zone}
            choices={places.map((id) => ({ id, name: zoneName(id) }))}
            onChange={(id) => set({ zone: id as ZoneId, pattern: { zone: id as ZoneId, rows: [] } })}
          />
        )}
      </div>
      {place && (
        <MarkingDesk
          key={`${form.kind}/${zone}`}
          place={place}
          pattern={pattern}
          marking={marking}
          subject={{ form, object: "other", parts: [], pencil: null }}
          colours={COLOURS}
          ground={GROUND}
          title="Marking out"
          pieceId={null}
          counted={null}
          change={(next, clear) => set({ pattern: changedPattern(pattern, next, clear) })}
        />
      )}
    </>
  );
}
