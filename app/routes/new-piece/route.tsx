import { useState } from "react";
import { Form, redirect } from "react-router";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { pieceFrom } from "#core/piece/new-piece";
import type { ThreeFacts } from "#core/piece/new-piece";
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
  const { notebook, announceChange } = await import("~/store/open.client");
  const piece = pieceFrom({ material, uses, techniques } as unknown as ThreeFacts, CATALOGUE);
  const record = await addPiece(await notebook(), piece);
  announceChange();
  return redirect(`/pieces/${record.id}`);
}

function Missing({ text }: { text: string }) {
  return (
    <p role="alert" className="mt-2 rounded-md bg-stop-tint p-2 font-semibold text-stop">
      {text}
    </p>
  );
}

export default function NewPiece({ actionData }: Route.ComponentProps) {
  const menu = useMenu();
  const [material, setMaterial] = useState<string | null>(null);
  return (
    <Form method="post" className="grid gap-6" noValidate>
      <title>New piece – Nook Coat</title>
      <h1 className="text-3xl">A new piece, from three facts</h1>
      <div className="grid gap-6 lg:grid-cols-3">
        <fieldset className="rounded-xl border-2 border-line bg-sheet p-4">
          <legend className="px-2 font-display text-xl">What is it made of?</legend>
          <div className="grid gap-2">
            {menu.materials.map((one) => (
              <label key={one.id} className="chip justify-start">
                <input type="radio" name="material" value={one.id} checked={material === one.id} onChange={() => setMaterial(one.id)} className="sr-only" />
                <svg width="28" height="28" aria-hidden>
                  <rect x="1" y="1" width="26" height="26" rx="6" fill={one.colour} stroke="var(--ink)" />
                </svg>
                <span>
                  {one.name}
                  <span className="block text-sm font-normal text-soft">{one.means}</span>
                </span>
              </label>
            ))}
          </div>
          {actionData?.missing.material && <Missing text="Pick what it is made of." />}
        </fieldset>
        <fieldset className="rounded-xl border-2 border-line bg-sheet p-4">
          <legend className="px-2 font-display text-xl">What is it for?</legend>
          <div className="flex flex-wrap gap-2">
            {menu.uses.map((one) => (
              <label key={one.id} className="chip">
                <input type="checkbox" name="use" value={one.id} className="accent-ready" />
                {one.name}
              </label>
            ))}
          </div>
          {actionData?.missing.use && <Missing text="Pick at least one use." />}
        </fieldset>
        <fieldset className="rounded-xl border-2 border-line bg-sheet p-4">
          <legend className="px-2 font-display text-xl">How will you decorate it?</legend>
          <div className="flex flex-wrap gap-2">
            {menu.techniques.map((one) => (
              <label key={one.id} className="chip">
                <input type="checkbox" name="technique" value={one.id} className="accent-ready" />
                {one.name}
              </label>
            ))}
          </div>
          <p className="mt-3 text-soft">None is fine too: a plain, well-coated piece.</p>
        </fieldset>
      </div>
      <div className="sticky bottom-0 border-t-2 border-line bg-paper py-3">
        <button type="submit" className="button button-act text-lg">
          Make the coat plan
        </button>
      </div>
    </Form>
  );
}
