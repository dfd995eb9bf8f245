/* global document, FontFace */
/** Writes the widths of the shipped faces into the core, as a browser sets them: `node scripts/write-faces.mjs`. */
import { readFileSync, writeFileSync } from "node:fs";
import { chromium } from "playwright-core";
import { CHROMIUM_ARGS, chromiumPath } from "./ensure.mjs";

const LETTERS = [...` !"#&'()*+,-./0123456789:;?@ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyzÀÁÂÄÅÆÇÈÉÊËÍÎÏÑÓÔÖØÚÛÜßàáâäåæçèéêëíîïñóôöøúûü–’`];
const FACES = [
  { id: "young-serif", name: "Young Serif", weight: 400, file: "node_modules/@fontsource/young-serif/files/young-serif-latin-400-normal.woff2" },
  { id: "source-sans", name: "Source Sans", weight: 400, file: "node_modules/@fontsource-variable/source-sans-3/files/source-sans-3-latin-wght-normal.woff2" },
];
const EM_PX = 1000;

const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_ARGS });
const page = await browser.newPage();
const rows = [];
for (const { id, name, weight, file } of FACES) {
  const url = `data:font/woff2;base64,${readFileSync(file).toString("base64")}`;
  const measured = await page.evaluate(
    async ({ url, weight, letters, em }) => {
      const face = new FontFace("measured", `url(${url})`, { weight: "200 900" });
      document.fonts.add(await face.load());
      const context = document.createElement("canvas").getContext("2d");
      context.font = `${weight} ${em}px measured`;
      const tall = (letter) => context.measureText(letter).actualBoundingBoxAscent / em;
      const widths = letters.map((letter) => context.measureText(letter).width / em);
      document.fonts.delete(face);
      return { widths, cap: tall("H"), x: tall("x") };
    },
    { url, weight, letters: LETTERS, em: EM_PX },
  );
  const round = (value) => Math.round(value * 1000) / 1000;
  const widths = LETTERS.map((letter, k) => `${JSON.stringify(letter)}: ${round(measured.widths[k])}`);
  rows.push(
    `  { id: ${JSON.stringify(id)}, name: ${JSON.stringify(name)}, capHeight: ${round(measured.cap)}, xHeight: ${round(measured.x)}, widths: { ${widths.join(", ")} } },`,
  );
}
await browser.close();
writeFileSync(
  "core/marking/data/faces.ts",
  `import type { Face } from "../face";\n\n/** Widths of the shipped faces, in ems, as a browser sets them from their files [published: the font files of the two faces; scripts/write-faces.mjs]. */\nexport const FACES: readonly Face[] = [\n${rows.join("\n")}\n];\n`,
);
