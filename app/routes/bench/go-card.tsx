import { Link } from "react-router";
import { Check } from "lucide-react";
import { nearestTool } from "#core/marking/tool";
import type { MarkTool } from "#core/marking/tool";
import { markedKey } from "#core/formats/stores/pieces";
import { benchChecks } from "#core/logbook/bench/checks";
import type { Go } from "#core/logbook/bench/go";
import type { Menu } from "#core/catalogue/menu";
import { workableMin } from "#core/drying/film-drying";
import { sayDuration } from "#core/units/duration";
import { actPlaces, goCoat, neededWords, sayPutOff } from "~/bench/bench-words";
import type { OnBench } from "~/bench/bench-loaded.client";
import { useAppContext } from "~/components/app-context";
import { ColourChip } from "~/components/colour-chip";
import { extentText, saySize } from "~/components/extent-words";
import { sayClock } from "~/components/time-words";
import { stepTitle, zoneNames } from "~/components/words";
import { Pour } from "~/piece/pouring";

interface Props {
  readonly go: Go;
  readonly piece: OnBench;
  readonly menu: Menu;
  readonly tools: readonly MarkTool[];
  readonly now: number;
}

/** How many marks of each row are set by now, as they were counted at the table. */
function RowsSet({ go, piece }: Pick<Props, "go" | "piece">) {
  const { marked } = piece.record;
  const rows = go.act.step.rows?.filter(({ count }) => count > 1) ?? [];
  const setOf = (row: string) => Math.max(0, ...go.zones.map((zone) => marked?.[markedKey(zone, row)] ?? 0));
  const told = rows.map(({ id, count }) => `${Math.min(count, setOf(id))} of ${count}`);
  if (told.length === 0) return null;
  return (
    <p>
      {rows.some(({ id }) => setOf(id) > 0) && <strong>Set so far: {told.join(", ")}. </strong>}
      <Link to={`/pieces/${piece.id}/marks?look=table`} className="inline-flex min-h-[44px] items-center underline">
        Count them as you set them
      </Link>
    </p>
  );
}

/** Titles longer than this are set smaller. */
const LONG_TITLE = 26;

/** What the hands do now, with what, how much of it and where; large enough for an arm's length. */
export function GoText({ go, piece, menu, tools, now }: Props) {
  const { settings } = useAppContext();
  const { step } = go.act;
  const title = stepTitle(step, menu, false);
  const extent = extentText(step, settings.units);
  const tool = step.marks ? nearestTool(step.marks.diameterMm, tools) : null;
  const touch = step.typical?.touchDry;
  const checks = benchChecks(step, piece.shown);
  const needed = neededWords(piece, now);
  return (
    <div>
      <p className="text-xl">
        <Link to={`/pieces/${piece.id}?step=${encodeURIComponent(step.id)}`} className="underline underline-offset-4">
          {piece.name}
        </Link>
        {piece.count > 1 && <span className="text-soft"> × {piece.count}</span>}
        <span className="text-soft"> · {actPlaces(go, piece)}</span>
        {needed && <strong className="whitespace-nowrap"> · {needed}</strong>}
      </p>
      <h2 className={`mt-1 ${title.length > LONG_TITLE ? "text-2xl sm:text-4xl" : "text-3xl sm:text-5xl"}`} data-go={go.id}>
        {title}{" "}
        {go.act.colours.map((colour) => (
          <span key={colour} className="mr-1">
            <ColourChip colour={colour} sheen={step.sheen} size={30} />
          </span>
        ))}
        {goCoat(go) !== "" && (
          <>
            {" "}
            <span className="block text-xl sm:text-2xl first-letter:uppercase">{goCoat(go)}</span>
          </>
        )}
      </h2>
      <div className="mt-2 grid gap-1 sm:mt-3 sm:text-lg">
        {step.jarMl !== null && step.jarMl > 0 && (
          <Pour act={go.act} menu={menu} tasks={piece.work.tasks.filter(({ stepId }) => go.act.stepIds.includes(stepId))} done={piece.done} />
        )}
        {extent && <p>{extent}</p>}
        {step.rows && <RowsSet go={go} piece={piece} />}
        {tool && (
          <p>
            With {tool.tool.label}: it leaves {saySize(tool.leavesMm, settings.units)}.
          </p>
        )}
        <p className="text-soft">
          About {sayDuration(Math.max(1, go.handsOnMin))} of work
          {touch !== undefined && go.act.step.wetMicrons !== null && `; it stays workable about ${sayDuration(Math.max(1, workableMin(touch)))}`}
          {go.together !== null && `. At most ${go.together} at a time, all colours, while they are wet`}.
        </p>
        {go.putOff !== null && <p className="font-semibold">In the calendar it is for {sayPutOff(go.putOff, now)}: it may be done now, and need not be.</p>}
        {go.closes !== null && !go.shut && go.closes > now && (
          <p className="font-semibold text-act">Begin it before {sayClock(go.closes, now)}: after that it comes too late.</p>
        )}
        {go.shut && <p className="font-semibold text-stop">It comes late: scuff what lies beneath dull first, or score along the mask.</p>}
        {checks.map((check) => (
          <p key={check}>
            <Check aria-hidden size={20} className="mr-1 inline text-ready" />
            {check}
          </p>
        ))}
        {go.half !== undefined && (
          <p className="text-soft">{go.half === "first" ? "The half you do not hold; leave the other for your hand." : "Hold it by the half that is dry."}</p>
        )}
        {piece.shown.zones.length > 1 && go.zones.length < piece.shown.zones.length && <p className="sr-only">Only {zoneNames(go.zones)}</p>}
      </div>
    </div>
  );
}
