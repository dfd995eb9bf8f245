import { ArrowDown, ArrowUp, Plus, X } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import type { ProductId } from "#core/catalogue/ids";
import type { TechniqueId, ZoneId } from "#core/catalogue/vocabulary";
import { USUAL_MARK_COLOURS } from "#core/piece/complete-piece";
import { nextLayer, placesForLayers } from "#core/piece/layers";
import { MOST_LAYERS } from "#core/piece/piece";
import type { Layer } from "#core/piece/piece";
import { useAppContext } from "~/components/app-context";
import { patternWords } from "~/components/extent-words";
import { Choice } from "~/components/fields";
import { ToolButton } from "~/components/tool-button";
import { nameIn } from "~/components/use-menu";
import { zoneName } from "~/components/words";
import { JarColour } from "./decoration-facts";
import { objectOf, sayLayered, set, YOU_CHOOSE } from "./fact-props";
import type { FactProps } from "./fact-props";
import { saidExtent, LayerExtent } from "./layer-extent";

/** What is drawn where, in which colour, with what, in its order; the order is that of the work. */
export function LayerFact({ record, menu, assumed, layersTaken, save, pointed }: FactProps) {
  const { settings } = useAppContext();
  const all = record.piece.decoration?.layers ?? [];
  const layers = all.filter((layer) => !layer.rows);
  const marked = all.filter((layer) => layer.rows);
  const object = menu.objects.find((one) => one.id === objectOf(record.piece, assumed));
  const zones = object?.zones.map(({ zone }) => zone) ?? [];
  const places = placesForLayers(zones, all).map((id) => ({ id, name: zoneName(id) }));
  const [open, setOpen] = useState<number | null>(null);
  const put = (next: readonly Layer[], typed = false) => save(sayLayered(record.piece, [...next, ...marked]), { typed });
  const change = (index: number, fields: Partial<Layer>, typed = false) =>
    put(
      layers.map((layer, at) =>
        at === index ? (Object.fromEntries(Object.entries({ ...layer, ...fields }).filter(([, value]) => value !== undefined)) as unknown as Layer) : layer,
      ),
      typed,
    );
  const move = (index: number, by: -1 | 1) => {
    const next = [...layers];
    [next[index], next[index + by]] = [next[index + by]!, next[index]!];
    put(next);
    setOpen(open === index ? index + by : open);
  };
  const add = () => {
    put([...layers, nextLayer(layers, pointed ?? (layers.length === 0 ? places[0]?.id : undefined))]);
    setOpen(layers.length);
  };
  return (
    <div className="grid gap-2">
      <ol className="grid gap-2" aria-label="Layers of the decoration, first to last">
        {layers.map((layer, index) => {
          const name = `${nameIn(menu.techniques, layer.technique)}${layer.zone === undefined ? "" : `, ${zoneName(layer.zone).toLowerCase()}`}`;
          return (
            <li key={index} className="rounded-lg border border-line p-2">
              <div className="flex items-center gap-1">
                <button
                  type="button"
                  className="min-h-11 grow text-left font-semibold"
                  aria-expanded={open === index}
                  onClick={() => setOpen(open === index ? null : index)}
                >
                  {layer.colour !== undefined && (
                    <svg width="16" height="16" viewBox="0 0 14 14" aria-hidden className="mr-1 inline align-baseline">
                      <circle cx="7" cy="7" r="6" fill={layer.colour} stroke="var(--ink)" />
                    </svg>
                  )}
                  {name}
                  <span className="font-normal text-soft">{saidExtent(layer, settings.units)}</span>
                </button>
                <ToolButton icon={ArrowUp} label={`Earlier: ${name}`} disabled={index === 0} onClick={() => move(index, -1)} />
                <ToolButton icon={ArrowDown} label={`Later: ${name}`} disabled={index === layers.length - 1} onClick={() => move(index, 1)} />
                <ToolButton icon={X} label={`Without: ${name}`} onClick={() => put(layers.filter((_one, at) => at !== index))} />
              </div>
              {open === index && (
                <div className="mt-1 grid gap-2">
                  <Choice
                    label="How"
                    value={layer.technique}
                    choices={menu.techniques}
                    onChange={(technique) => change(index, { technique: technique as TechniqueId, marks: undefined, coverage: undefined } as Partial<Layer>)}
                  />
                  <Choice
                    label="Where"
                    value={layer.zone ?? places[0]?.id ?? ""}
                    choices={places}
                    onChange={(zone) => change(index, { zone: zone as ZoneId })}
                  />
                  <JarColour
                    label="Colour"
                    value={layer.colour ?? USUAL_MARK_COLOURS.onDark}
                    menu={menu}
                    onChange={(colour, typed) => change(index, { colour }, typed)}
                  />
                  <LayerExtent layer={layer} taken={layersTaken[index] ?? null} change={(fields, typed) => change(index, fields, typed)} />
                  <Choice
                    label="With what"
                    value={layer.medium ?? ""}
                    choices={[{ id: "", name: YOU_CHOOSE }, ...menu.products.filter((one) => one.jobs.includes("decorate"))]}
                    onChange={(medium) => change(index, { medium: medium === "" ? undefined : (medium as ProductId) } as Partial<Layer>)}
                  />
                </div>
              )}
            </li>
          );
        })}
      </ol>
      {marked.length > 0 && (
        <p>
          <Link to={`/pieces/${record.id}/marks`} className="underline">
            Marked out
          </Link>
          : {patternWords(marked)}. It is worked out from its rows.
        </p>
      )}
      <p className="flex flex-wrap gap-2">
        {all.length < MOST_LAYERS && (
          <button type="button" className="button" onClick={add}>
            <Plus aria-hidden size={18} /> {pointed === null ? "One more layer" : `One more, on the ${zoneName(pointed).toLowerCase()}`}
          </button>
        )}
        {layers.length > 0 && (
          <button type="button" className="button" onClick={() => save([set("decoration.layers", undefined)])}>
            Spread them for me
          </button>
        )}
      </p>
    </div>
  );
}
