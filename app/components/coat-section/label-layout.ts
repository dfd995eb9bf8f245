const NARROW = /[ijlt.,:;'’·|()ftr\s-]/;
const BROAD = /[mwMW@—%]/;

/** How wide a character of the text face is, of its size; a little wide, so that nothing runs out of its place. */
function charWidth(char: string): number {
  if (NARROW.test(char)) return 0.34;
  if (BROAD.test(char)) return 0.87;
  return /[A-Z]/.test(char) ? 0.64 : 0.54;
}

/** About how wide words are, px. @param size of the face, px */
export function widthOf(text: string, size: number): number {
  return [...text].reduce((sum, char) => sum + charWidth(char) * size, 0);
}

/** A word longer than its place, in pieces that fit. */
function broken(word: string, width: number, size: number): readonly string[] {
  const pieces: string[] = [];
  let piece = "";
  for (const char of word) {
    if (piece !== "" && widthOf(piece + char, size) > width) {
      pieces.push(piece);
      piece = "";
    }
    piece += char;
  }
  return [...pieces, piece];
}

/**
 * Words in lines that fit, none cut: a word too long for a line goes on in the next.
 *
 * @param width px
 * @param size of the face, px
 */
export function wrapped(text: string, width: number, size: number): readonly string[] {
  const words = text
    .split(" ")
    .filter((word) => word !== "")
    .flatMap((word) => broken(word, width, size));
  return words.reduce<readonly string[]>((lines, word) => {
    const last = lines.at(-1);
    if (last === undefined) return [word];
    return widthOf(`${last} ${word}`, size) <= width ? [...lines.slice(0, -1), `${last} ${word}`] : [...lines, word];
  }, []);
}

/** A label that would stand at a height, and how high it is. */
export interface Wanting {
  /** Its middle, px downwards. */
  readonly want: number;
  readonly height: number;
}

interface Block {
  readonly sum: number;
  readonly count: number;
}

/**
 * Labels moved apart, each as little as can be by least squares: pool adjacent violators on their places less what stands between them.
 *
 * @param labels from the top down
 * @returns the middles they stand at, in the same order
 */
export function spread(labels: readonly Wanting[]): readonly number[] {
  let offset = 0;
  const offsets = labels.map(({ height }, index) => {
    if (index > 0) offset += (labels[index - 1]!.height + height) / 2;
    return offset;
  });
  const blocks: Block[] = [];
  for (const [index, { want }] of labels.entries()) {
    blocks.push({ sum: want - offsets[index]!, count: 1 });
    while (blocks.length > 1 && mean(blocks.at(-2)!) > mean(blocks.at(-1)!)) {
      const [low, high] = [blocks.pop()!, blocks.pop()!];
      blocks.push({ sum: low.sum + high.sum, count: low.count + high.count });
    }
  }
  return blocks.flatMap((block) => Array.from({ length: block.count }, () => mean(block))).map((base, index) => base + offsets[index]!);
}

function mean({ sum, count }: Block): number {
  return sum / count;
}
