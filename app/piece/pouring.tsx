import { Droplet } from "lucide-react";
import { Link } from "react-router";
import { productId } from "#core/catalogue/ids";
import type { Menu } from "#core/catalogue/menu";
import type { ToldAct } from "#core/coating/explain/told-acts";
import type { Task } from "#core/coating/facts/task";
import type { Change } from "#core/coating/model/change";
import { takeFrom } from "#core/coating/model/own-steps";
import { thinnedWith } from "#core/film/thinning";
import { noteOfMix } from "#core/shelf/mixes";
import { reachOf } from "#core/shelf/reach";
import { sayVolume } from "#core/units/volume";
import { useAppContext } from "~/components/app-context";
import { Choice } from "~/components/fields";
import { isWaterborne } from "~/components/use-menu";
import { thinningText, THINNER_CHOICES } from "~/components/thinning-words";
import type { Apply } from "~/piece/plan-actions";

interface Props {
  readonly act: ToldAct;
  readonly menu: Menu;
  readonly apply: Apply;
}

/** The thinner the user is used to, for this act: what it does to body, hiding and film is judged at once. */
export function OwnThinner({ act: { step, stepIds }, menu, apply }: Props) {
  const { thinning } = step;
  if (!thinning || !isWaterborne(menu, step.product) || step.done || (step.role !== "base" && step.role !== "decorate")) return null;
  const change = (thinner: string) => {
    const value = thinnedWith(thinning, productId(thinner));
    apply(stepIds.map((stepId): Change => ({ op: "set", stepId, field: "thinning", value })));
  };
  return (
    <div className="max-w-72 print:hidden">
      <Choice label="Thin it with" value={thinning.with} choices={THINNER_CHOICES} onChange={change} />
    </div>
  );
}

/** Which jar it is taken from, where there is a choice; a jar that is chosen brings its colour. */
export function OwnJar({ act: { step, stepIds, colours }, menu, apply }: Props) {
  const jars = menu.jars.filter((jar) => jar.classId === step.product);
  const planned = step.jar === undefined ? jars.find((jar) => jar.id === step.ownProduct) : undefined;
  const others = jars.filter((jar) => jar !== planned);
  if (others.length === 0 || step.done || colours.length > 1) return null;
  const asPlanned = planned ? `as planned: ${planned.name}` : step.jar === undefined ? "none of yours" : "as planned";
  return (
    <div className="max-w-72 print:hidden">
      <Choice
        label="Take it from"
        value={step.jar ?? ""}
        choices={[{ id: "", name: asPlanned }, ...others]}
        onChange={(id) => apply(takeFrom(stepIds, step, jars.find((jar) => jar.id === id) ?? null))}
      />
    </div>
  );
}

/** What the mixtures among some jars are mixed from, and the way to their recipe. */
export function MixedOf({ act: { jars: ids, stepIds }, menu, piece }: Pick<Props, "act" | "menu"> & { piece: string }) {
  const pots = menu.jars.filter((jar) => jar.mix && ids.includes(jar.id));
  return (
    <>
      {pots.map(({ id, name, mix }) => (
        <p key={id}>
          {name} is mixed from {noteOfMix(mix!)}.
        </p>
      ))}
      <p className="print:hidden">
        <Link to={`/pieces/${piece}/mixing?step=${encodeURIComponent(stepIds[0]!)}`} className="underline">
          {pots.length > 0 ? "Its recipe at the mixing desk" : "At the mixing desk: mix it, thin it, how many coats"}
        </Link>
      </p>
    </>
  );
}

/** Less paint than this nobody misses, ml. */
const SOME_PAINT_ML = 1;

/** What is poured, from which jars and how it is thinned; whether they reach is told. */
export function Pour({ act: { step, jars: ids }, menu, tasks, done }: Omit<Props, "apply"> & { tasks: readonly Task[]; done: ReadonlyMap<string, number> }) {
  const jars = ids.flatMap((id) => menu.jars.find((jar) => jar.id === id) ?? []);
  const left = jars.length === 1 ? jars[0]!.leftMl : undefined;
  const { pourMl, missingMl } = reachOf(
    step.jarMl ?? 0,
    tasks.map((task) => task.id),
    done,
    left,
  );
  const thinning = thinningText(step, useAppContext().settings.dropsPerMl);
  return (
    <p>
      <Droplet aria-hidden size={18} className="inline text-ready" /> {jars.length === 0 ? "Pour out" : "Pour"} {sayVolume(pourMl)}
      {jars.length > 0 && ` out of ${jars.map((jar) => jar.name).join(" and ")}`}
      {left !== undefined && `, which has ${left < SOME_PAINT_ML ? "nothing" : `about ${sayVolume(left)}`} left`}.
      {missingMl > SOME_PAINT_ML && <strong className="text-act"> It does not reach: {sayVolume(missingMl)} are missing.</strong>}
      {thinning && ` ${thinning}`}
    </p>
  );
}
