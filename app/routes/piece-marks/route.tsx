import { useMemo } from "react";
import { Link } from "react-router";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { USUAL_MARK_COLOURS } from "#core/piece/complete-piece";
import { guessObject } from "#core/piece/guess-object";
import type { Pattern } from "#core/piece/pattern";
import { markedKey } from "#core/formats/stores/pieces";
import { changedPattern, patternsWith } from "#core/marking/changed-pattern";
import { markingPlaces } from "#core/marking/solve-piece";
import { Choice } from "~/components/fields";
import { RoomError } from "~/components/room-error";
import { nameIn, useMenu } from "~/components/use-menu";
import { useSetParam } from "~/components/use-set-param";
import { zoneName } from "~/components/words";
import { MarkingDesk } from "~/marking/marking-desk";
import type { ChangePattern } from "~/marking/look-props";
import { useMarking } from "~/marking/use-marking";
import { useRowsDone } from "~/marking/use-rows-done";
import { keptPiece, planOf } from "~/piece/kept-piece";
import { useRecord } from "~/piece/use-record";
import { Awaited } from "~/components/awaited";
import type { PlannedView } from "~/workers/plan-worker-api";
import type { Route } from "./+types/route";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const [kept, { planView }, { markingLoaded }] = await Promise.all([
    keptPiece(params.id),
    import("~/workers/planner.client"),
    import("~/marking/marking-loaded.client"),
  ]);
  return { kept, loaded: await markingLoaded(), planned: planView(params.id, planOf(kept)) };
}
clientLoader.hydrate = true as const;

export { notForAnotherLook as shouldRevalidate } from "~/mixing/should-load";

export function ErrorBoundary() {
  return <RoomError />;
}

/** What the plan draws guides with in a place, and takes them off with. */
function usePencil(view: PlannedView | null, zone: string) {
  const menu = useMenu();
  const steps = view?.shown?.zones.find((one) => one.zone === zone)?.steps ?? [];
  const mark = steps.find(({ role }) => role === "mark");
  if (!mark) return null;
  const off = steps.find(({ role }) => role === "unmark");
  return {
    draw: nameIn(menu.products, mark.product),
    takeOff: off ? nameIn(menu.products, off.product).toLowerCase() : null,
    pressed: mark.product === "scored-line",
  };
}

function Room({ loaderData, view }: { loaderData: Route.ComponentProps["loaderData"]; view: PlannedView | null }) {
  const { record, save } = useRecord();
  const menu = useMenu();
  const marking = useMarking(loaderData.loaded);
  const [asked, takePlace] = useSetParam("place");
  const { piece } = record;
  const places = useMemo(() => markingPlaces(piece, CATALOGUE), [piece]);
  const free = places.filter(({ stayBare }) => stayBare === null);
  const place = free.find(({ zone }) => zone === asked) ?? free[0];
  const pencil = usePencil(view, place?.zone ?? "");
  const rowsDone = useRowsDone(view, place?.zone ?? "");
  const base = piece.decoration?.baseColour ?? null;
  const material = menu.materials.find(({ id }) => id === piece.material);
  const said = piece.decoration?.colours;
  const colours = useMemo(() => [...new Set([...(said ?? []), USUAL_MARK_COLOURS.onDark, "#d9822b", "#ffffff"])].filter((one) => one !== base), [said, base]);
  if (!place)
    return (
      <p className="max-w-prose">
        Rows are set out on a measured shape, and this piece is known only by its area.{" "}
        <Link to={`/pieces/${record.id}`} className="underline">
          Say its shape and sizes in the plan
        </Link>
        .
      </p>
    );
  const patterns = piece.decoration?.patterns ?? [];
  const pattern: Pattern = patterns.find(({ zone }) => zone === place.zone) ?? { zone: place.zone, rows: [] };
  const change: ChangePattern = (set, clear) =>
    save([{ op: "setPiece", path: "decoration.patterns", value: patternsWith(patterns, changedPattern(pattern, set, clear)) }]);
  const marked = (row: string) =>
    rowsDone.has(row) ? Infinity : (marking.markedAsked.get(markedKey(place.zone, row)) ?? record.marked?.[markedKey(place.zone, row)] ?? 0);
  return (
    <MarkingDesk
      key={place.zone}
      place={place}
      pattern={pattern}
      marking={marking}
      subject={{ form: piece.form, object: piece.object ?? guessObject(piece, CATALOGUE), parts: piece.parts ?? [], pencil }}
      colours={colours}
      ground={base ?? material?.colour ?? "#d8d2c4"}
      title={piece.name}
      pieceId={record.id}
      counted={{ of: marked, inPlan: (row) => rowsDone.has(row), save: (row, count) => marking.setMarked(record.id, place.zone, row, count) }}
      change={change}
      head={
        free.length > 1 && (
          <div className="mb-3 w-56">
            <Choice label="Place" value={place.zone} choices={free.map(({ zone }) => ({ id: zone, name: zoneName(zone) }))} onChange={takePlace} />
          </div>
        )
      }
    />
  );
}

/** Marking out a piece: rows that close before the first dot is set. */
export default function PieceMarks({ loaderData }: Route.ComponentProps) {
  return (
    <Awaited of={loaderData.planned} waiting={<Room loaderData={loaderData} view={null} />}>
      {(view) => <Room loaderData={loaderData} view={view} />}
    </Awaited>
  );
}
