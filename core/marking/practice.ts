import type { Provenance } from "../catalogue/provenance";
import type { TechniqueId } from "../catalogue/vocabulary";

/** How a stroke is made, what good looks like, and what goes wrong first. */
export interface Practice {
  readonly technique: TechniqueId;
  /** In the order of the hand. */
  readonly stages: readonly [string, string, string, string];
  readonly good: string;
  /** What is seen first when it is not, and what that comes from. */
  readonly faults: readonly { readonly seen: string; readonly from: string }[];
  /** What its sheet is ruled with. */
  readonly ruled: "dots" | "walk" | "swipes" | "lines" | "letters" | "fields";
  readonly provenance: Provenance;
}

const PRACTICE = { kind: "common-practice" } as const;

const PRACTICES: readonly Practice[] = [
  {
    technique: "dots",
    stages: [
      "Dip the tip straight down, a third of its height; let it drop once.",
      "Set it down straight on the mark, light as a fingertip.",
      "Wait for a breath: the paint runs out to a ring by itself.",
      "Lift straight up. Dip again for every dot.",
    ],
    good: "all of one size, round, domed alike, and no point",
    faults: [
      { seen: "a peak that stands", from: "the paint is too thick, or it was lifted slowly" },
      { seen: "an oval", from: "the tool leaned" },
      { seen: "a hole in the middle", from: "too little paint, or it was pressed" },
    ],
    ruled: "dots",
    provenance: PRACTICE,
  },
  {
    technique: "walked-dots",
    stages: [
      "Load the tip once, fully.",
      "Set the largest dot where the row begins.",
      "Walk on without dipping: each dot is a little smaller.",
      "Close the gap a little each time; stop before it runs dry.",
    ],
    good: "they shrink evenly, and the gaps with them",
    faults: [
      { seen: "two of the same size", from: "the second was pressed harder" },
      { seen: "the last ones are rings", from: "one too many out of one dip" },
    ],
    ruled: "walk",
    provenance: PRACTICE,
  },
  {
    technique: "swipes",
    stages: [
      "Set a full dot where the head is to be.",
      "Put a fine point into the middle of it while it is wet.",
      "Draw it out along the line in one move, lighter and lighter.",
      "Lift off while you still move: the tail thins out by itself.",
    ],
    good: "a round head and a tail that comes to nothing",
    faults: [
      { seen: "a blunt tail", from: "it was stopped before it was lifted" },
      { seen: "the tail breaks off", from: "too little paint in the head" },
    ],
    ruled: "swipes",
    provenance: PRACTICE,
  },
  {
    technique: "freehand-brush",
    stages: [
      "Load the brush to half its hair and turn it to a point.",
      "Touch with the point, then press: the stroke widens.",
      "Pull towards you, the whole arm, eyes on where it ends.",
      "Lift while you pull: it ends in a point.",
    ],
    good: "thin, thick, thin, in one move, and smooth on both sides",
    faults: [
      { seen: "it wobbles", from: "only the fingers moved" },
      { seen: "it is dry at the end", from: "too little paint for the length" },
    ],
    ruled: "lines",
    provenance: PRACTICE,
  },
  {
    technique: "outline",
    stages: [
      "Thin it until it runs off the brush like ink.",
      "Rest the little finger on a dry place.",
      "Follow the edge with the eye ahead of the point.",
      "Begin and end under a crossing, where nobody sees it.",
    ],
    good: "one width all along, and closed",
    faults: [
      { seen: "blobs where it turns", from: "it was stopped on the way" },
      { seen: "it creeps", from: "thinned with water over a slick ground" },
    ],
    ruled: "lines",
    provenance: PRACTICE,
  },
  {
    technique: "lettering",
    stages: [
      "Rule a foot line and a head line.",
      "Pencil the word, its middle letter first, on the middle.",
      "Downstrokes first, all of one slope.",
      "Then the upstrokes, lighter; the lines come off at the end.",
    ],
    good: "the same height and slope; it reads from two arms’ lengths",
    faults: [
      { seen: "it runs off to one side", from: "it was begun at the left, not in the middle" },
      { seen: "thick and thin by chance", from: "the pen turned in the hand" },
    ],
    ruled: "letters",
    provenance: PRACTICE,
  },
  {
    technique: "bands",
    stages: [
      "Mark it at four places all round, and join them.",
      "Mask both edges; press them down with a nail.",
      "Seal the edge of the mask with the colour beneath, then lay the band, thin.",
      "Lift the mask as the last coat has just set, back over itself.",
    ],
    good: "straight from every side, and sharp on both",
    faults: [{ seen: "a ragged edge", from: "the mask was not pressed down, or the paint was thinned" }],
    ruled: "lines",
    provenance: PRACTICE,
  },
  {
    technique: "blended",
    stages: [
      "Lay the two colours side by side, both wet.",
      "A clean damp brush across the seam, to and fro, light.",
      "Wipe it; then longer strokes into both.",
      "Stop while it is wet: a last one along the whole field.",
    ],
    good: "no seam, and no brush line across it",
    faults: [
      { seen: "a hard edge", from: "one of them had set" },
      { seen: "mud", from: "stirred too long" },
    ],
    ruled: "fields",
    provenance: PRACTICE,
  },
  {
    technique: "swirled",
    stages: [
      "Set drops of the second colour into the wet ground.",
      "Draw a point through them, in one long curve.",
      "Across it once, the other way.",
      "Stop: it looks too little, and it is enough.",
    ],
    good: "both colours are still themselves",
    faults: [{ seen: "one dull colour", from: "one turn too many" }],
    ruled: "fields",
    provenance: PRACTICE,
  },
  {
    technique: "stencil",
    stages: [
      "Fix it flat; no gap under a bridge.",
      "Load the sponge and dab it almost dry on paper.",
      "Dab straight down, from the edges inward.",
      "Lift it straight up, and wipe its back before the next.",
    ],
    good: "sharp edges, even tone",
    faults: [{ seen: "a soft edge", from: "too much paint, or it was brushed, not dabbed" }],
    ruled: "fields",
    provenance: PRACTICE,
  },
  {
    technique: "sponge-dots",
    stages: [
      "Cut the sponge round; wet it, and wring it out.",
      "Press it into the paint, then once on paper.",
      "Set it down straight, press, and turn it a little.",
      "Lift straight up.",
    ],
    good: "round, even, and no bubbles",
    faults: [{ seen: "a rim of paint", from: "too full: dab it off once more" }],
    ruled: "dots",
    provenance: PRACTICE,
  },
  {
    technique: "solid",
    stages: [
      "Load a third of the brush and wipe one side.",
      "Begin away from the edge, and draw out to it.",
      "Keep a wet edge: each stroke half over the last.",
      "One light stroke over all, in one direction; then leave it.",
    ],
    good: "no ridges at a lamp from the side",
    faults: [
      { seen: "brush lines", from: "gone back over paint that had begun to set" },
      { seen: "a thick rim", from: "the brush was wiped off on the edge" },
    ],
    ruled: "fields",
    provenance: PRACTICE,
  },
];

/**
 * How a stroke is practised.
 *
 * @returns what is nearest for a technique that has no page of its own: a plain field
 */
export function practiceOf(technique: string): Practice {
  return PRACTICES.find((one) => one.technique === technique) ?? PRACTICES.find((one) => one.technique === "solid")!;
}

/** Techniques with a page of their own. */
export const PRACTISED_TECHNIQUES: readonly TechniqueId[] = PRACTICES.map(({ technique }) => technique);

/** A mark to be set on the sheet, mm. */
export interface SheetMark {
  readonly x: number;
  readonly y: number;
  readonly r: number;
}

/** A sheet has this much room inside its margins, mm. */
export const SHEET_MM = { width: 180, height: 225 } as const;
/** Between rows of a sheet, mm, at least. */
const ROW_GAP_MM = 6;
/** Of their size dots are apart. */
const APART = 0.6;

/**
 * Rows of marks at true size, to be set upon: the size of the piece first, then half as large again and two thirds.
 *
 * @param diameterMm of the marks of the step, 0.5 to 60
 * @param walk each row shrinks as one dip does
 * @example sheetMarks(8, false)[0] // { x: 4, y: 4, r: 4 }
 */
export function sheetMarks(diameterMm: number, walk: boolean): readonly SheetMark[] {
  const sizes = [1, 1, 1, 1.5, 2 / 3, 2 / 3].map((of) => of * diameterMm);
  const marks: SheetMark[] = [];
  let top = 0;
  for (const size of sizes) {
    if (top + size > SHEET_MM.height) break;
    let x = 0;
    // Walked dots are two thirds of what they were after six [from memory].
    for (let k = 0, d = size; x + d <= SHEET_MM.width && (!walk || k < 8); k += 1) {
      marks.push({ x: x + d / 2, y: top + size / 2, r: d / 2 });
      x += d * (1 + APART);
      if (walk) d *= (2 / 3) ** (1 / 5);
    }
    top += size + Math.max(ROW_GAP_MM, size / 2);
  }
  return marks;
}
