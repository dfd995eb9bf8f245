/** Three pieces on a bench with a clock of its own, and what is seen and kept of them. */
import type { Page } from "playwright-core";
import { writeBundle } from "#core/formats/write-bundle";
import type { BundleParts } from "#core/formats/write-bundle";
import { dayFrom, nextAt } from "../instant";
import { allSaved, newNotebook, open, URL_BASE } from "./bench";

/** A Monday at six. */
export const EVENING = nextAt(0, "18:00");
export const DAY_MS = 86_400_000;
export const JAR = "harbournavy1";

type Record<S extends keyof BundleParts> = BundleParts[S][number];

function piece(id: string, name: string, count: number, more: object): Record<"pieces"> {
  const stated = {
    format: "nook-coat/piece",
    version: 1,
    name,
    material: "stone-smooth",
    form: { kind: "pebble", lengthMm: 60, widthMm: 45, thicknessMm: 15 },
    uses: ["handled"],
    count,
    room: { temperatureC: 21, relativeHumidity: 0.5, airflow: "still" },
    decoration: { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4efe2"] },
    ...more,
  };
  return { id, rev: 1, piece: stated, planId: null, dates: { due: dayFrom(EVENING, 49) } } as unknown as Record<"pieces">;
}

const NOTEBOOK = JSON.stringify(
  writeBundle({
    pieces: [
      piece("doorwedge0001", "Door wedge", 1, {}),
      piece("herbpot000001", "Herb pot", 1, {
        material: "terracotta",
        object: "pot",
        form: { kind: "frustum", topDiameterMm: 120, bottomDiameterMm: 85, heightMm: 110 },
        uses: ["indoor-display"],
        decoration: { techniques: ["bands"], baseColour: "#1f3a4d", colours: ["#f4efe2"] },
      }),
      piece("windowpeb0001", "Window pebbles", 12, { decoration: { techniques: [], baseColour: "#1f3a4d", colours: [] } }),
    ],
    shelf: [
      {
        id: JAR,
        rev: 1,
        classId: "craft-acrylic",
        name: "Harbour navy",
        colour: "#1f3a4d",
        sizeMl: 60,
        label: {},
        left: { ml: 60, by: "volume", at: new Date(EVENING - 10 * DAY_MS).toISOString() },
      } as unknown as Record<"shelf">,
    ],
  }),
);

export async function onBench(options: Parameters<typeof newNotebook>[0] = {}) {
  const { context, page } = await newNotebook({ at: EVENING, ...options });
  await open(page, "/settings");
  await page.getByLabel("Notebook file").setInputFiles({ name: "notebook.json", mimeType: "application/json", buffer: Buffer.from(NOTEBOOK) });
  await page.getByText(/^3 pieces.* brought in/).waitFor();
  await allSaved(page);
  await toBench(page);
  return { context, page };
}

export async function toBench(page: Page): Promise<void> {
  await page.goto(`${URL_BASE}/`);
  await settled(page);
}

/** The Bench shows what is written. */
export async function settled(page: Page): Promise<void> {
  await allSaved(page);
  await page.locator("[data-bench][aria-busy=false]").waitFor();
}

/** What may be touched now, by piece and step; null where everything is left alone. */
export async function touchable(page: Page): Promise<string | null> {
  const go = page.locator("[data-now] [data-go]");
  return (await go.count()) === 0 ? null : go.getAttribute("data-go");
}

/** Pieces that are to be left alone altogether, each with its instant. */
export const alone = (page: Page) =>
  page
    .locator("[data-alone]:not([data-partly])")
    .evaluateAll((items) => items.map((item) => ({ piece: item.getAttribute("data-alone")!, until: Number(item.getAttribute("data-until")) })));

export async function kept(page: Page, store: string): Promise<readonly { readonly [key: string]: unknown }[]> {
  return page.evaluate(
    (name) =>
      new Promise<never[]>((resolve) => {
        const opening = indexedDB.open("nook-coat");
        opening.onsuccess = () => {
          const asked = opening.result.transaction(name).objectStore(name).getAll();
          asked.onsuccess = () => (opening.result.close(), resolve(asked.result as never[]));
        };
      }),
    store,
  );
}

/** The next thing to do is another than it was. */
export async function goneOn(page: Page, from: string | null): Promise<void> {
  await page.waitForFunction((before) => document.querySelector("[data-now] [data-go]")?.getAttribute("data-go") !== before, from);
  await settled(page);
}
