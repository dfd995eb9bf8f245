import { Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import { BODIES, dotOf, HOUSEHOLD_TOOLS, leavesByRow, LOADS, shrinks, TIPS } from "#core/marking/tool";
import type { Load, MarkTool, PaintBody, Tip } from "#core/marking/tool";
import { TIP_BOUNDS } from "#core/formats/stores/tools";
import { plainMm } from "#core/marking/words";
import { Choice } from "~/components/fields";
import { NumberField } from "~/components/number-field";
import { ToolButton } from "~/components/tool-button";
import { freshId } from "~/store/fresh-id";
import type { Marking } from "./use-marking";
import { useDraft } from "~/components/use-draft";

const TIP_NAMES: Readonly<Record<Tip, string>> = { ball: "ball", flat: "flat end", needle: "needle" };
const LOAD_NAMES: Readonly<Record<Load, string>> = { light: "just touched in", usual: "as usual", full: "full" };
const BODY_NAMES: Readonly<Record<PaintBody, string>> = { thin: "runs a little", usual: "holds a soft dot", stiff: "peaks" };
/** Dots of a test row. */
const TEST_DOTS = 10;

function ToolRow({ tool, marking }: { tool: MarkTool; marking: Marking }) {
  const { hand } = marking;
  const [measured, setMeasured] = useState<"no" | "wrong" | "yes">("no");
  return (
    <li className="sheet grid grid-cols-[1fr_auto] items-end gap-2 p-2 sm:grid-cols-[1fr_14rem_auto]">
      <p className="col-span-2 min-w-0 sm:col-span-1">
        <strong>{tool.label}</strong>
        {tool.set && <span className="text-soft">, {tool.set}</span>}
        <span className="block leading-snug">
          {TIP_NAMES[tool.tip]}, {plainMm(tool.mm)} mm: leaves {plainMm(dotOf(tool, hand))} mm
          {tool.leaves === undefined ? <span className="text-soft"> (typical)</span> : " by your own row"}
          {shrinks(tool.tip) ? "" : "; set again without loading it does not shrink"}
        </span>
        {measured === "wrong" && <span className="block text-stop">That cannot be a row of {TEST_DOTS} dots of this tool.</span>}
      </p>
      <NumberField
        label={`${TEST_DOTS} touching dots`}
        unit="mm"
        value={undefined}
        typical={plainMm(dotOf(tool) * TEST_DOTS)}
        bounds={{ least: 1, most: 2000 }}
        save={(rowMm) => {
          if (rowMm === undefined) return;
          const leaves = leavesByRow(rowMm, TEST_DOTS, tool.mm);
          setMeasured(leaves === null ? "wrong" : "yes");
          if (leaves !== null) marking.keepTool({ ...tool, leaves }, tool);
        }}
      />
      <ToolButton icon={Trash2} label={`Take ${tool.label} away`} onClick={() => marking.removeTool(tool)} />
    </li>
  );
}

/** The user's own dotting tools, with the dot each really leaves. */
export function ToolsLook({ marking }: { marking: Marking }) {
  const [label, setLabel] = useDraft("tool.label", "");
  const [set, setSet] = useDraft("tool.set", "");
  const [tip, setTip] = useDraft<Tip>("tool.tip", "ball");
  const [mm, setMm] = useDraft<number | undefined>("tool.mm", undefined);
  const here = new Set(marking.tools.map((tool) => tool.label));
  return (
    <div className="grid gap-4">
      {marking.tools.length > 0 && (
        <p className="text-soft">
          Set {TEST_DOTS} dots in a row, each touching the next, and measure it from end to end: then every dot is reckoned as your hand leaves it.
        </p>
      )}
      {marking.tools.length === 0 && <p>No tool yet. Put in the sizes you have, whatever is written on them; rows then name the one to take.</p>}
      <div className="grid gap-3 sm:grid-cols-2">
        <Choice
          label="How full the tool is"
          value={marking.hand.load}
          choices={LOADS.map((id) => ({ id, name: LOAD_NAMES[id] }))}
          onChange={(load) => marking.setHand({ load: load as Load })}
        />
        <Choice
          label="The paint"
          value={marking.hand.body}
          choices={BODIES.map((id) => ({ id, name: BODY_NAMES[id] }))}
          onChange={(body) => marking.setHand({ body: body as PaintBody })}
        />
      </div>
      <ul className="grid gap-2" aria-label="Your tools">
        {marking.tools.map((tool) => (
          <ToolRow key={tool.id} tool={tool} marking={marking} />
        ))}
      </ul>
      <form
        className="grid items-end gap-3 border-t border-line pt-3 sm:grid-cols-[1fr_1fr_9rem_9rem_auto]"
        onSubmit={(event) => {
          event.preventDefault();
          if (label.trim() === "" || mm === undefined) return;
          marking.keepTool({ id: freshId(), label: label.trim(), tip, mm, ...(set.trim() === "" ? {} : { set: set.trim() }) });
          setLabel("");
        }}
      >
        <label className="block">
          Written on it
          <input className="field" value={label} maxLength={60} onChange={(event) => setLabel(event.target.value)} />
        </label>
        <label className="block">
          Set
          <input className="field" value={set} maxLength={40} onChange={(event) => setSet(event.target.value)} />
        </label>
        <Choice label="Tip" value={tip} choices={TIPS.map((id) => ({ id, name: TIP_NAMES[id] }))} onChange={(id) => setTip(id as Tip)} />
        <NumberField label="Across" unit="mm" value={mm} bounds={TIP_BOUNDS} save={setMm} />
        <button type="submit" className="button button-act" disabled={label.trim() === "" || mm === undefined}>
          <Plus aria-hidden size={18} /> Add
        </button>
      </form>
      <div>
        <p className="mb-2">Things of the house that set dots, at typical sizes: measure yours.</p>
        <div className="flex flex-wrap gap-2">
          {HOUSEHOLD_TOOLS.filter((tool) => !here.has(tool.label)).map((tool) => (
            <button key={tool.id} type="button" className="chip" onClick={() => marking.keepTool({ ...tool, id: freshId() })}>
              {tool.label}, {plainMm(tool.mm)} mm
            </button>
          ))}
        </div>
      </div>
    </div>
  );
}
