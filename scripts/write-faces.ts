/** Writes the widths of the shipped faces into the core: `npx tsx scripts/write-faces.ts`. */
import * as fontkit from "fontkit";
import { writeFileSync } from "node:fs";

const LETTERS = [..." !\"#&'()*+,-./0123456789:;?@ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyzÀÁÂÄÅÆÇÈÉÊËÍÎÏÑÓÔÖØÚÛÜßàáâäåæçèéêëíîïñóôöøúûü–’"];
const FACES = [
  { id: "young-serif", name: "Young Serif", file: "node_modules/@fontsource/young-serif/files/young-serif-latin-400-normal.woff2" },
  { id: "source-sans", name: "Source Sans", file: "node_modules/@fontsource-variable/source-sans-3/files/source-sans-3-latin-wght-normal.woff2" },
];

const round = (value: number) => Math.round(value * 10_000) / 10_000;
const rows = FACES.map(({ id, name, file }) => {
  const opened = fontkit.openSync(file) as fontkit.Font;
  // Variable faces are shown in their regular weight.
  const font = Object.keys(opened.variationAxes).length > 0 ? opened.getVariation({ wght: 400 }) : opened;
  const em = font.unitsPerEm;
  const widths = LETTERS.map((letter) => `${JSON.stringify(letter)}: ${round(font.layout(letter).advanceWidth / em)}`);
  const [cap, x] = [round(font.capHeight / em), round(font.xHeight / em)];
  return `  { id: ${JSON.stringify(id)}, name: ${JSON.stringify(name)}, capHeight: ${cap}, xHeight: ${x}, widths: { ${widths.join(", ")} } },`;
});
writeFileSync(
  "core/marking/data/faces.ts",
  `import type { Face } from "../face";\n\n/** Widths of the shipped faces, in ems, as their files have them [published: the font files of the two faces, by scripts/write-faces.ts]. */\nexport const FACES: readonly Face[] = [\n${rows.join("\n")}\n];\n`,
);
