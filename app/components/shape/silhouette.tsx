import { useId } from "react";
import type { Piece } from "#core/piece/piece";
import { Texture } from "../coat-section/textures";
import { drawingOf } from "./geometry";
import type { Patch } from "./geometry";

/** What the drawing shows in two views is one view here. */
function patchesOf({ form, parts = [] }: Piece): readonly Patch[] {
  if (form.kind === "pebble") {
    const ry = 92 * Math.min(1, form.widthMm / form.lengthMm);
    return [
      {
        surface: "front",
        path: `M80 ${140}c0 ${-ry * 1.25} 60 ${-ry * 1.3} 96 ${-ry * 1.1}s92 ${ry * 0.5} 88 ${ry * 1.1}-52 ${ry} -96 ${ry}s-88 ${-ry * 0.25}-88 ${-ry}z`,
      },
    ];
  }
  if (form.kind === "box") {
    const half = 92 * Math.min(1, form.widthMm / form.lengthMm);
    const rect = (inset: number) => `M${80 + inset} ${134 - half + inset}h${186 - 2 * inset}v${2 * (half - inset)}h${-(186 - 2 * inset)}z`;
    return [
      { surface: "front", path: rect(0) },
      { surface: "inner", path: rect(12) },
    ];
  }
  return drawingOf(form, 0, parts).patches;
}

/** A piece as it stands on the table, small: its own proportions, body, base colour and marks. */
export function Silhouette({ piece, body, texture, size = 64 }: { piece: Piece; body: string; texture: string; size?: number }) {
  const at = useId().replace(/[^a-z0-9]/gi, "");
  const patches = patchesOf(piece);
  const base = piece.decoration?.baseColour ?? null;
  const marks = (piece.decoration?.colours ?? []).slice(0, 3);
  const [main] = patches.filter((patch) => ["wall", "front", "food-side", ""].includes(patch.surface));
  return (
    <svg viewBox="60 26 226 216" width={size} height={size} aria-hidden className="shrink-0">
      <defs>
        <Texture id={`${at}-body`} texture={texture} colour={body} />
        <clipPath id={`${at}-clip`}>
          <path d={main?.path ?? ""} />
        </clipPath>
      </defs>
      {patches
        .filter((patch) => !patch.line)
        .map((patch, index) => (
          <path key={index} d={patch.path} fill={base && patch.surface !== "inner" ? base : `url(#${at}-body)`} stroke="var(--ink)" strokeWidth="3" />
        ))}
      <g clipPath={`url(#${at}-clip)`}>
        {marks.flatMap((colour, row) =>
          Array.from({ length: 9 }, (_unused, index) => <circle key={`${row}-${index}`} cx={82 + index * 23} cy={118 + row * 30} r={7} fill={colour} />),
        )}
      </g>
    </svg>
  );
}
