import type { Go } from "#core/logbook/bench/go";
import type { Menu } from "#core/catalogue/menu";
import type { MarkTool } from "#core/marking/tool";
import { Link } from "react-router";
import { alikeZones } from "#core/coating/explain/alike-zones";
import { actNumbers } from "#core/coating/explain/told-acts";
import { coatStates } from "#core/logbook/coat-states";
import { laidBeneath } from "#core/logbook/rescue/spot";
import { groupStates } from "#core/logbook/group-states";
import { askOf } from "~/actions/use-ask";
import { actionOf } from "~/bench/bench-asks";
import type { OnBench } from "~/bench/bench-loaded.client";
import { Inspect } from "~/bench/inspect";
import { MiniSection } from "~/components/coat-section/mini-section";
import type { PlanAsk } from "~/piece/plan-ask";
import { Doing } from "./doing";
import type { Noting } from "./doing";
import { GoText } from "./go-card";

interface Props {
  readonly go: Go;
  readonly piece: OnBench;
  readonly menu: Menu;
  readonly tools: readonly MarkTool[];
  readonly now: number;
  readonly noting: Noting;
  /** Opens where it is put right. */
  readonly rescue: (to: string) => void;
}

/** What is done now: the whole left page, in words for an arm's length; the piece cut through beside it. */
export function NowCard({ go, piece, menu, tools, now, noting, rescue }: Props) {
  const groups = alikeZones(piece.shown.zones, actNumbers(piece.shown));
  const states = groupStates(groups, piece.shown.zones, coatStates(piece.shown, piece.work, piece.done, now));
  const beneath = laidBeneath(piece.shown, piece.done, go.zones[0]!, go.act.stepIds);
  const ask = (of: PlanAsk) => askOf(actionOf(piece), of);
  const { technique } = go.act.step;
  return (
    <section aria-label="Now" tabIndex={0} className="note border-l-8 border-l-act p-4 sm:p-6" data-now>
      <p className="font-display text-xl text-act">Now</p>
      <div className="grid gap-4 md:grid-cols-[minmax(0,1fr)_auto]">
        <GoText go={go} piece={piece} menu={menu} tools={tools} now={now} />
        <Link to={`/pieces/${piece.id}`} className="max-md:hidden" aria-label={`The plan of ${piece.name}`}>
          <MiniSection
            tall
            groups={groups}
            menu={menu}
            material={piece.record.piece.material}
            states={piece.done.size > 0 ? states : null}
            label={`Coats of ${piece.name}`}
          />
        </Link>
      </div>
      <Doing go={go} piece={piece} menu={menu} now={now} noting={noting} />
      {technique !== undefined && (
        <p className="mt-3">
          <Link
            to={`/practice?of=${technique}&piece=${piece.id}&step=${encodeURIComponent(go.act.step.id)}`}
            className="inline-flex min-h-[44px] items-center underline"
          >
            Not sure of the stroke? Stage by stage, and a sheet to practise on
          </Link>
        </p>
      )}
      {beneath && (
        <Inspect
          key={beneath.step.id}
          {...beneath}
          hard={false}
          note={(found) => ask({ intent: "inspected", zone: beneath.zone, stepId: beneath.step.id, at: new Date().toISOString(), ...found })}
          apply={(edits) => ask({ intent: "edit", followed: piece.followed, edits })}
          wait={() => noting.touched("tacky")}
          rescue={(mishap) => rescue(`/pieces/${piece.id}/rescue?step=${encodeURIComponent(beneath.step.id)}&what=${mishap}`)}
        />
      )}
    </section>
  );
}
