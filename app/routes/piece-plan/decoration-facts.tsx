import type { Change } from "#core/coating/model/change";
import { USUAL_BASE_COLOUR } from "#core/piece/complete-piece";
import { Chips, Choice, Colour, Part } from "~/components/fields";
import { set, valueTaken, YOU_CHOOSE } from "./fact-props";
import type { FactProps } from "./fact-props";

/** Colours, kinds of decoration, what they are done with. */
export function DecorationFacts({ record, menu, assumed, save }: FactProps) {
  const { piece } = record;
  const decoration = piece.decoration ?? {};
  const base =
    decoration.baseColour !== undefined ? decoration.baseColour : ((valueTaken(assumed, "decoration.baseColour") as string | null | undefined) ?? null);
  const colours = decoration.colours ?? (valueTaken(assumed, "decoration.colours") as readonly string[] | undefined) ?? [];
  const media = menu.products.filter((one) => one.jobs.includes("decorate"));
  const change = (...changes: Change[]) => save(changes);
  const recoloured = (index: number, hex: string) => colours.map((old, at) => (at === index ? hex : old));
  return (
    <Part title="Colour and decoration">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <label className="chip" data-fact="decoration.baseColour">
          <input
            type="checkbox"
            className="accent-ready"
            checked={base !== null}
            onChange={() => change(set("decoration.baseColour", base === null ? USUAL_BASE_COLOUR : null))}
          />
          Base colour all over
        </label>
        {base !== null && <Colour label="Base" value={base} onChange={(hex) => save([set("decoration.baseColour", hex)], { typed: true })} />}
        {colours.map((colour, index) => (
          <Colour
            key={index}
            fact={index === 0 ? "decoration.colours" : undefined!}
            label={colours.length > 1 ? `Marks ${index + 1}` : "Marks"}
            value={colour}
            onChange={(hex) => save([set("decoration.colours", recoloured(index, hex))], { typed: true })}
          />
        ))}
      </div>
      <div className="mt-2">
        <Chips
          label="Decoration"
          choices={menu.techniques}
          chosen={decoration.techniques ?? []}
          onChange={(techniques) => change(set("decoration.techniques", techniques))}
        />
      </div>
      <div className="mt-2 grid grid-cols-2 gap-2">
        <Choice
          label="Decorate with"
          value={decoration.media?.[0] ?? ""}
          choices={[{ id: "", name: YOU_CHOOSE }, ...media]}
          onChange={(id) => change(set("decoration.media", id === "" ? [] : [id]))}
        />
        <Choice
          label="Finish"
          fact="finish"
          value={piece.finish ?? "satin"}
          choices={[
            { id: "matte", name: "Matt" },
            { id: "satin", name: "Satin" },
            { id: "gloss", name: "Gloss" },
          ]}
          onChange={(id) => change(set("finish", id))}
        />
      </div>
    </Part>
  );
}
