import { useId, useState } from "react";
import type { ReactNode } from "react";
import { Form, redirect } from "react-router";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { pieceFrom } from "#core/piece/new-piece";
import type { ThreeFacts } from "#core/piece/new-piece";
import { Texture } from "~/components/coat-section/textures";
import { TechniqueGlyph } from "~/components/glyphs";
import { useMenu } from "~/components/use-menu";
import { addPiece } from "~/store/pieces";
import type { Route } from "./+types/route";

export async function clientAction({ request }: Route.ClientActionArgs) {
  const form = await request.formData();
  const [material] = form.getAll("material").map(String);
  const uses = form.getAll("use").map(String);
  const techniques = form.getAll("technique").map(String);
  const missing = { material: material === undefined, use: uses.length === 0 };
  if (missing.material || missing.use) return { missing };
  const { database } = await import("~/store/open.client");
  const piece = pieceFrom({ material, uses, techniques } as unknown as ThreeFacts, CATALOGUE);
  const record = await addPiece(await database(), piece);
  return redirect(`/pieces/${record.id}`);
}

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

export default function NewPiece({ actionData }: Route.ComponentProps) {
  const menu = useMenu();
  const [material, setMaterial] = useState<string | null>(null);
  return (
    <Form method="post" className="grid gap-5" noValidate>
      <title>New piece – Nook Coat</title>
      <h1 className="text-3xl">A new piece, from three facts</h1>
      <div className="grid items-start gap-5 lg:grid-cols-3">
        <Fact number={1} legend="What is it made of?">
          <div className="grid grid-cols-2 gap-2">
            {menu.materials.map((one) => (
              <label key={one.id} className="chip justify-start leading-tight" title={one.means}>
                <input type="radio" name="material" value={one.id} checked={material === one.id} onChange={() => setMaterial(one.id)} className="sr-only" />
                <Cut colour={one.colour} texture={one.texture} />
                {one.name}
              </label>
            ))}
          </div>
          <p className="mt-2 min-h-6 text-soft">{menu.materials.find((one) => one.id === material)?.means ?? "Tap one to see what is meant."}</p>
          {actionData?.missing.material && <Missing text="Pick what it is made of." />}
        </Fact>
        <Fact number={2} legend="What is it for?">
          <div className="flex flex-wrap gap-2">
            {menu.uses.map((one) => (
              <label key={one.id} className="chip">
                <input type="checkbox" name="use" value={one.id} className="accent-ready" />
                {one.name}
              </label>
            ))}
          </div>
          {actionData?.missing.use && <Missing text="Pick at least one use." />}
        </Fact>
        <Fact number={3} legend="How will you decorate it?">
          <div className="grid grid-cols-2 gap-2">
            {menu.techniques.map((one) => (
              <label key={one.id} className="chip justify-start leading-tight">
                <input type="checkbox" name="technique" value={one.id} className="sr-only" />
                <TechniqueGlyph id={one.id} />
                {one.name}
              </label>
            ))}
          </div>
          <p className="mt-3 text-soft">None is fine too: a plain, well-coated piece.</p>
        </Fact>
      </div>
      <div className="sticky bottom-0 border-t-2 border-ink bg-paper py-3">
        <button type="submit" className="button button-act text-lg">
          Make the coat plan
        </button>
        <span className="ml-4 text-soft max-sm:hidden">Sizes, colours and the rest come after, where they matter.</span>
      </div>
    </Form>
  );
}
