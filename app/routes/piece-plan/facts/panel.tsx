import { Fragment, useState } from "react";
import type { ComponentType } from "react";
import type { ZoneId } from "#core/catalogue/vocabulary";
import { useAppContext } from "~/components/app-context";
import { MeasuredDrawing } from "~/components/shape/measured-drawing";
import { AlreadyFact } from "./already-fact";
import { BaseFact, ColoursFact, FinishFact, MediaFact, TechniqueFact } from "./decoration-facts";
import { baseOf, objectOf, sayLayered } from "./fact-props";
import type { FactProps, LitProps } from "./fact-props";
import { FactSearch } from "./fact-search";
import { ConditionFact, CountFact, MaterialFact, ObjectFact, UseFact } from "./object-facts";
import { LayerFact } from "./layer-fact";
import { Opened } from "./opened";
import { LimitsFact, placesFor, RoomFact, WishesFact } from "./place-facts";
import { sentencesOf } from "./sentences";
import type { FactKey } from "./sentences";

const EDITORS: Readonly<Record<FactKey, ComponentType<FactProps>>> = {
  material: MaterialFact,
  object: ObjectFact,
  count: CountFact,
  conditions: ConditionFact,
  uses: UseFact,
  base: BaseFact,
  techniques: TechniqueFact,
  layers: LayerFact,
  colours: ColoursFact,
  media: MediaFact,
  finish: FinishFact,
  room: RoomFact,
  limits: LimitsFact,
  wishes: WishesFact,
  done: AlreadyFact,
};

/** The piece as it is drawn and measured. */
function Drawing({ record, menu, assumed, save, lit, light, point }: LitProps & { point: (zone: ZoneId) => void }) {
  const { settings } = useAppContext();
  const { piece } = record;
  const object = menu.objects.find((one) => one.id === objectOf(piece, assumed));
  const body = menu.materials.find((one) => one.id === piece.material);
  return (
    <MeasuredDrawing
      record={record}
      unit={settings.units}
      change={save}
      body={{ colour: body?.colour ?? "#999999", texture: body?.texture ?? "dense" }}
      lipMm={Math.max(0, ...piece.uses.map((use) => menu.uses.find((one) => one.id === use)?.lipMm ?? 0))}
      zoneOf={new Map(object?.zones.map(({ zone, surface }) => [surface, zone]))}
      base={baseOf(piece, assumed)}
      lit={lit}
      light={light}
      point={point}
    />
  );
}

/**
 * What is known of a piece: drawn with its measures, and told in sentences whose parts open their choices. Nothing is required: what nobody said is
 * taken as usual, and set softer.
 */
export function FactsPanel(props: LitProps) {
  const { record, menu, assumed, layersTaken, save } = props;
  const { rooms } = useAppContext();
  const [open, setOpen] = useState<FactKey | null>(null);
  const [pointed, setPointed] = useState<ZoneId | null>(null);
  const isLayered = (record.piece.decoration?.layers ?? []).length > 0;
  /** What goes where is said one by one from here on: it begins as it was taken so far, so that nothing changes by looking. */
  const sayWhere = async (zone?: ZoneId) => {
    setPointed(zone ?? null);
    if (isLayered) return setOpen("layers");
    const { sayLayers } = await import("./say-layers");
    const layers = sayLayers(record.piece, zone === undefined);
    if (layers.length > 0) save(sayLayered(record.piece, layers));
    setOpen(layers.length > 0 ? "layers" : "techniques");
  };
  const sentences = sentencesOf({ piece: record.piece, assumed, menu, roomName: placesFor(record.piece, rooms).here.name });
  return (
    <>
      <Drawing {...props} point={(zone) => void sayWhere(zone)} />
      <p className="mt-3 leading-[1.7] text-[1.05rem]">
        {sentences.map((sentence, index) => (
          <Fragment key={index}>
            {index > 0 && " "}
            {sentence.map((part, at) => {
              if (typeof part === "string") return part;
              const Editor = EDITORS[part.fact];
              return (
                <Opened
                  key={`${part.fact}-${at}`}
                  said={part}
                  open={open === part.fact}
                  onOpenChange={(on) => {
                    setOpen(on ? part.fact : null);
                    if (!on) setPointed(null);
                  }}
                >
                  <Editor
                    record={record}
                    menu={menu}
                    assumed={assumed}
                    layersTaken={layersTaken}
                    save={save}
                    sayWhere={(zone) => void sayWhere(zone)}
                    pointed={pointed}
                  />
                </Opened>
              );
            })}
          </Fragment>
        ))}
      </p>
      <p className="mt-2 text-sm text-soft">
        <span className="said-soft">Dotted</span> is what is usual, until you say otherwise.
      </p>
      <FactSearch record={record} menu={menu} save={save} />
    </>
  );
}
