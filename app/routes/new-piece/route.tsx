import { joiResolver } from "@hookform/resolvers/joi";
import Joi from "joi";
import { Checkbox, RadioGroup } from "radix-ui";
import { useEffect, useId, useState } from "react";
import type { ReactNode } from "react";
import { Controller, useForm, useWatch } from "react-hook-form";
import { redirect, useActionData, useSubmit } from "react-router";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { pieceFrom } from "#core/piece/new-piece";
import type { ThreeFacts } from "#core/piece/new-piece";
import { pieceId } from "#core/catalogue/ids";
import { inOwnColours } from "#core/shelf/own-colours";
import { recordIdSchema } from "#core/formats/stores/definition";
import { perform, whyOf } from "~/actions/perform";
import { Texture } from "~/components/coat-section/textures";
import { Chips } from "~/components/fields";
import { TechniqueGlyph } from "~/components/glyphs";
import { RoomError } from "~/components/room-error";
import { useMenu } from "~/components/use-menu";
import { freshId } from "~/store/fresh-id";
import type { Route } from "./+types/route";

interface NewPieceAsk extends ThreeFacts {
  readonly intent: "new";
  /** Of the piece it is to be: asked twice, there is one. */
  readonly id: string;
}

/** It could not be kept: what was chosen stands, and can be asked again. */
interface NotKept {
  readonly why: string;
}

export async function clientAction({ request }: Route.ClientActionArgs) {
  const [{ database }, { addPiece }, { ownShelf }] = await Promise.all([
    import("~/store/open.client"),
    import("~/store/pieces"),
    import("~/store/own-shelf.client"),
  ]);
  const known = (ids: Iterable<string>) => [...ids];
  return perform<NewPieceAsk, Response | NotKept>(
    request,
    {
      new: (joi) => ({
        id: recordIdSchema(joi).required(),
        material: joi
          .string()
          .valid(...known(CATALOGUE.materials.keys()))
          .required(),
        uses: joi
          .array()
          .items(joi.string().valid(...known(CATALOGUE.uses.keys())))
          .min(1)
          .unique()
          .required(),
        techniques: joi
          .array()
          .items(joi.string().valid(...known(CATALOGUE.techniques.keys())))
          .unique()
          .required(),
      }),
    },
    {
      new: async ({ id, material, uses, techniques }) => {
        try {
          const db = await database();
          const { products } = await ownShelf(db);
          const record = await addPiece(db, inOwnColours(pieceFrom({ material, uses, techniques }, CATALOGUE), products, CATALOGUE), pieceId(id));
          forget();
          return redirect(`/pieces/${record.id}`);
        } catch (error) {
          return { why: whyOf(error) };
        }
      },
    },
  );
}

export function ErrorBoundary() {
  return <RoomError />;
}

interface FactsForm {
  readonly material: string;
  readonly uses: readonly string[];
  readonly techniques: readonly string[];
}

const FACTS_FORM = Joi.object<FactsForm>({
  material: Joi.string().required().messages({ "string.empty": "Pick what it is made of." }),
  uses: Joi.array().items(Joi.string()).min(1).required().messages({ "array.min": "Pick at least one use." }),
  techniques: Joi.array().items(Joi.string()).required(),
});

const NOTHING_CHOSEN: FactsForm = { material: "", uses: [], techniques: [] };
const CHOSEN = "nook-coat-new-piece";

/** What was chosen on this page and not made a piece yet: a reload does not ask for it again. */
function chosenBefore(): FactsForm {
  try {
    const { error, value } = FACTS_KEPT.validate(JSON.parse(sessionStorage.getItem(CHOSEN) ?? "{}"));
    return error ? NOTHING_CHOSEN : { ...NOTHING_CHOSEN, ...(value as Partial<FactsForm>) };
  } catch {
    return NOTHING_CHOSEN;
  }
}

function remember(facts: FactsForm): void {
  try {
    sessionStorage.setItem(CHOSEN, JSON.stringify(facts));
  } catch {
    // A browser that keeps nothing asks again after a reload.
  }
}

function forget(): void {
  try {
    sessionStorage.removeItem(CHOSEN);
  } catch {
    // Nothing was kept.
  }
}

const ids = (most: number) => Joi.array().items(Joi.string().max(80)).max(most);
const FACTS_KEPT = Joi.object({ material: Joi.string().allow("").max(80), uses: ids(12), techniques: ids(60) });

function Missing({ text }: { text: string }) {
  return (
    <p role="alert" className="mt-2 rounded-md bg-stop-tint p-2 font-semibold text-stop">
      {text}
    </p>
  );
}

/** A chip of a material as it is when cut: its colour and its texture. */
function Cut({ colour, texture }: { colour: string; texture: string }) {
  const at = useId().replace(/[^a-z0-9]/gi, "");
  return (
    <svg width="52" height="44" viewBox="0 0 52 44" aria-hidden className="shrink-0">
      <defs>
        <Texture id={at} texture={texture} colour={colour} />
      </defs>
      <path d="M2 8h48v30q-6-5-12 0t-12 0-12 0-12 0z" fill={`url(#${at})`} stroke="var(--ink)" strokeWidth="1.5" />
    </svg>
  );
}

function Fact({ number, legend, children }: { number: number; legend: string; children: ReactNode }) {
  return (
    <fieldset className="sheet p-4">
      <legend className="px-2 font-display text-xl">
        <span className="text-act">{number}</span> {legend}
      </legend>
      {children}
    </fieldset>
  );
}

/** Adds a choice to those made, or takes it out. */
function toggled(chosen: readonly string[], id: string): string[] {
  return chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id];
}

export default function NewPiece() {
  const menu = useMenu();
  const submit = useSubmit();
  const answer = useActionData() as NotKept | undefined;
  const [id] = useState(freshId);
  const { control, handleSubmit, formState, reset, subscribe } = useForm<FactsForm>({ resolver: joiResolver(FACTS_FORM), defaultValues: NOTHING_CHOSEN });
  useEffect(() => {
    reset(chosenBefore(), { keepDefaultValues: true });
    return subscribe({ formState: { values: true }, callback: ({ values }) => remember(values) });
  }, [reset, subscribe]);
  const material = useWatch({ control, name: "material" });
  const make = handleSubmit((facts) => void submit({ intent: "new", id, ...facts } as never, { method: "post", encType: "application/json" }));
  const { errors, isSubmitting } = formState;
  return (
    <form className="grid gap-5" noValidate onSubmit={(event) => void make(event)}>
      <title>New piece – Nook Coat</title>
      <h1 className="text-3xl">A new piece, from three facts</h1>
      <div className="grid items-start gap-5 lg:grid-cols-3">
        <Fact number={1} legend="What is it made of?">
          <Controller
            control={control}
            name="material"
            render={({ field }) => (
              <RadioGroup.Root ref={field.ref} value={field.value} onValueChange={field.onChange} aria-label="Material" className="grid grid-cols-2 gap-2">
                {menu.materials.map((one) => (
                  <RadioGroup.Item key={one.id} value={one.id} className="chip justify-start text-left leading-tight" title={one.means}>
                    <Cut colour={one.colour} texture={one.texture} />
                    {one.name}
                  </RadioGroup.Item>
                ))}
              </RadioGroup.Root>
            )}
          />
          <p className="mt-2 min-h-6 text-soft">{menu.materials.find((one) => one.id === material)?.means ?? "Tap one to see what is meant."}</p>
          {errors.material?.message && <Missing text={errors.material.message} />}
        </Fact>
        <Fact number={2} legend="What is it for?">
          <Controller
            control={control}
            name="uses"
            render={({ field }) => <Chips label="Uses" choices={menu.uses} chosen={field.value} onChange={field.onChange} />}
          />
          {errors.uses?.message && <Missing text={errors.uses.message} />}
        </Fact>
        <Fact number={3} legend="How will you decorate it?">
          <Controller
            control={control}
            name="techniques"
            render={({ field }) => (
              <div role="group" aria-label="Decoration" className="grid grid-cols-2 gap-2">
                {menu.techniques.map((one) => (
                  <Checkbox.Root
                    key={one.id}
                    checked={field.value.includes(one.id)}
                    onCheckedChange={() => field.onChange(toggled(field.value, one.id))}
                    className="chip justify-start text-left leading-tight"
                  >
                    <TechniqueGlyph id={one.id} />
                    {one.name}
                  </Checkbox.Root>
                ))}
              </div>
            )}
          />
          <p className="mt-3 text-soft">None is fine too: a plain, well-coated piece.</p>
        </Fact>
      </div>
      {answer?.why && (
        <p role="alert" className="rounded-lg bg-stop-tint p-3 text-stop">
          This piece could not be kept: {answer.why}. What you chose stands here; try again when there is room.
        </p>
      )}
      <div data-foot className="sticky bottom-0 border-t-2 max-sm:bottom-(--foot) border-ink bg-paper py-3">
        <button type="submit" className="button button-act text-lg" disabled={isSubmitting}>
          Make the coat plan
        </button>
        <span className="ml-4 text-soft max-sm:hidden">Sizes, colours and the rest come after, where they matter.</span>
      </div>
    </form>
  );
}
