import type { Change } from "#core/coating/model/change";
import type { Assumption } from "#core/piece/piece";
import { Chips, focusFact, Part } from "~/components/fields";
import { AlreadyFacts } from "./already-facts";
import { DecorationFacts } from "./decoration-facts";
import { set } from "./fact-props";
import type { FactProps } from "./fact-props";
import { PlaceFacts } from "./place-facts";
import { ShapeFacts } from "./shape-facts";

/** What the user has not said, and what is taken instead; each leads to where it is said. */
function Taken({ assumed }: { assumed: readonly Assumption[] }) {
  if (assumed.length === 0) return null;
  return (
    <Part title="Taken as usual">
      <ul className="grid gap-1">
        {assumed.map((one) => (
          <li key={one.path}>
            <button
              type="button"
              className="min-h-[32px] text-left underline decoration-dotted underline-offset-4"
              onClick={() =>
                focusFact(one.path === "room.relativeHumidity" ? "room.temperatureC" : one.path === "constraints.kiln" ? "constraints.oven" : one.path)
              }
            >
              {one.text}
            </button>
          </li>
        ))}
      </ul>
    </Part>
  );
}

/** Everything that sharpens a plan. Nothing here is required: what is left open is assumed, and the list says so. */
export function FactsPanel(props: FactProps) {
  const { record, menu, assumed, save } = props;
  const { piece } = record;
  const material = menu.materials.find((one) => one.id === piece.material);
  const change = (...changes: Change[]) => save(changes);
  return (
    <div className="grid gap-4">
      <ShapeFacts {...props} />
      <Part title="How does it look now?">
        <Chips
          label="Condition"
          fact="conditions"
          choices={menu.conditions.filter((one) => material?.asks.includes(one.id) || piece.conditions?.includes(one.id as never))}
          chosen={piece.conditions ?? []}
          onChange={(conditions) => change(set("conditions", conditions))}
        />
      </Part>
      <AlreadyFacts {...props} />
      <Part title="What is it for?">
        <Chips label="Uses" choices={menu.uses} chosen={piece.uses} least={1} onChange={(uses) => change(set("uses", uses))} />
      </Part>
      <DecorationFacts {...props} />
      <PlaceFacts {...props} />
      <Taken assumed={assumed} />
    </div>
  );
}
