import { MapPin, Plus, X } from "lucide-react";
import { USUAL_BASE_COLOUR, USUAL_MARK_COLOURS } from "#core/piece/complete-piece";
import { Chips, Choice, Colour, Radios } from "~/components/fields";
import { ToolButton } from "~/components/tool-button";
import { baseOf, coloursOf, marksName, MOST_COLOURS, set, YOU_CHOOSE } from "./fact-props";
import type { FactProps } from "./fact-props";
import { colourWords } from "./sentences";

const OTHER = "other";

/** One colour: any, or just that of one of the user's jars. */
export function JarColour({
  label,
  value,
  menu,
  onChange,
}: { label: string; value: string; onChange: (hex: string, typed: boolean) => void } & Pick<FactProps, "menu">) {
  const jars = menu.jars.flatMap((jar) => (jar.colour === undefined ? [] : [{ id: jar.id, name: jar.name, colour: jar.colour }]));
  const own = jars.find((jar) => jar.colour.toLowerCase() === value.toLowerCase());
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Colour label={label} value={value} onChange={(hex) => onChange(hex, true)} />
      {jars.length > 0 && (
        <div className="min-w-40 grow">
          <Choice
            unseen
            label={`${label}: a jar of yours`}
            value={own?.id ?? OTHER}
            choices={[...(own ? [] : [{ id: OTHER, name: `${colourWords(value, menu)}, from no jar` }]), ...jars]}
            onChange={(id) => {
              const jar = jars.find((one) => one.id === id);
              if (jar) onChange(jar.colour, false);
            }}
          />
        </div>
      )}
    </div>
  );
}

/** The colour it is all over, or its own face. */
export function BaseFact({ record, menu, assumed, save }: FactProps) {
  const base = baseOf(record.piece, assumed);
  return (
    <div className="grid gap-3">
      <label className="chip justify-self-start">
        <input
          type="checkbox"
          className="accent-ready"
          checked={base !== null}
          onChange={() => save([set("decoration.baseColour", base === null ? USUAL_BASE_COLOUR : null)])}
        />
        Base colour all over
      </label>
      {base !== null && <JarColour label="Base" value={base} menu={menu} onChange={(hex, typed) => save([set("decoration.baseColour", hex)], { typed })} />}
    </div>
  );
}

/** Kinds of decoration: the app spreads them over the colours, until the user says what goes where. */
export function TechniqueFact({ record, menu, save, sayWhere }: FactProps) {
  return (
    <div className="grid gap-3">
      <Chips
        label="Decoration"
        choices={menu.techniques}
        chosen={record.piece.decoration?.techniques ?? []}
        onChange={(techniques) => save([set("decoration.techniques", techniques)])}
      />
      <button type="button" className="button justify-self-start" onClick={() => sayWhere()}>
        <MapPin aria-hidden size={18} /> Say what goes where
      </button>
    </div>
  );
}

export function ColoursFact({ record, menu, assumed, save }: FactProps) {
  const colours = coloursOf(record.piece, assumed);
  const put = (next: readonly string[], typed = false) => save([set("decoration.colours", next)], { typed });
  return (
    <div className="grid gap-2">
      {colours.map((colour, index) => {
        const label = marksName(index, colours.length);
        return (
          <div key={index} className="flex items-center gap-1">
            <div className="grow">
              <JarColour
                label={label}
                value={colour}
                menu={menu}
                onChange={(hex, typed) =>
                  put(
                    colours.map((old, at) => (at === index ? hex : old)),
                    typed,
                  )
                }
              />
            </div>
            {colours.length > 1 && (
              <ToolButton icon={X} label={`Without ${label.toLowerCase()}`} onClick={() => put(colours.filter((_one, at) => at !== index))} />
            )}
          </div>
        );
      })}
      {colours.length < MOST_COLOURS && (
        <button type="button" className="button justify-self-start" onClick={() => put([...colours, USUAL_MARK_COLOURS.onDark])}>
          <Plus aria-hidden size={18} /> Another colour
        </button>
      )}
    </div>
  );
}

export function MediaFact({ record, menu, save }: FactProps) {
  return (
    <Radios
      unseen
      legend="Decorate with"
      value={record.piece.decoration?.media?.[0] ?? ""}
      choices={[{ id: "", name: YOU_CHOOSE }, ...menu.products.filter((one) => one.jobs.includes("decorate"))]}
      onChange={(id) => save([set("decoration.media", id === "" ? [] : [id])])}
    />
  );
}

export function FinishFact({ record, save }: FactProps) {
  return (
    <Radios
      unseen
      legend="Finish"
      value={record.piece.finish ?? "satin"}
      choices={[
        { id: "matte", name: "Matt" },
        { id: "satin", name: "Satin" },
        { id: "gloss", name: "Gloss" },
      ]}
      onChange={(id) => save([set("finish", id)])}
    />
  );
}
