import { nameOfColour } from "../film/colour-names";
import { zoneName } from "../catalogue/zone-words";
import { piecesOf } from "../logbook/record/pieces-left";
import type { LogRecord, RecordPicture, WorkLine } from "../logbook/record/record";
import { lineDetails, MOVE_WORDS, SAW_WORDS, sayBody, sayRoom } from "../logbook/record/say-record";
import { trialSays } from "../logbook/record/trial";
import type { Trial } from "../logbook/record/trial";
import type { LengthUnit } from "../units/length";
import { sayMl } from "../units/volume";
import type { Pictures } from "./notebook-file";

const ESCAPES: Readonly<Record<string, string>> = { "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;", "'": "&#39;" };
const esc = (text: string) => text.replace(/[&<>"']/g, (letter) => ESCAPES[letter]!);

/** Bytes that are turned into text at once: more of them overflow the stack. */
const CHUNK = 0x8000;

function base64(bytes: Uint8Array): string {
  let text = "";
  for (let at = 0; at < bytes.length; at += CHUNK) text += String.fromCharCode(...bytes.subarray(at, at + CHUNK));
  return btoa(text);
}

const STYLE = `
:root{color-scheme:light}
body{margin:0 auto;max-width:52rem;padding:1.5rem;background:#faf7f0;color:#23282c;font:1.05rem/1.5 Georgia,"Times New Roman",serif}
h1,h2,h3{line-height:1.2;font-weight:400}
nav ul{columns:2;padding:0;list-style:none}
article{margin:2rem 0;padding-top:1rem;border-top:2px solid #23282c;break-inside:avoid-page}
a{color:#1b6470}
table{border-collapse:collapse;width:100%}
td,th{padding:.25rem .5rem .25rem 0;border-bottom:1px solid #d8d0c0;text-align:left;vertical-align:top}
th{font-weight:600}
figure{display:inline-block;margin:.5rem .5rem 0 0;max-width:100%}
img{display:block;max-width:100%;max-height:24rem;border:1px solid #d8d0c0}
figcaption,.soft{color:#565c60}
svg{vertical-align:-.15em}
@media print{body{background:#fff;max-width:none;padding:0}nav{break-after:page}}
`;

function chip(hex: string): string {
  return `<svg width="16" height="16" role="img" aria-label="${esc(nameOfColour(hex))}"><rect x=".5" y=".5" width="15" height="15" fill="${esc(hex)}" stroke="#23282c"/></svg>`;
}

const STAGES: Readonly<Record<RecordPicture["stage"], string>> = { before: "Before", during: "At work", after: "Finished" };

function figure(picture: RecordPicture, isFace: boolean, pictures: Pictures): string {
  const bytes = pictures.get(isFace ? picture.picture : picture.small);
  if (!bytes) return "";
  const said = picture.caption ?? STAGES[picture.stage];
  return `<figure><img src="data:image/jpeg;base64,${base64(bytes)}" alt="${esc(said)}"><figcaption>${esc(said)}, ${picture.at.slice(0, 10)}</figcaption></figure>`;
}

function workRow(line: WorkLine, unit: LengthUnit): string {
  const [first, last] = [line.first.slice(0, 10), line.last.slice(0, 10)];
  const colour = line.colour === undefined ? "" : `${chip(line.colour)} `;
  const details = lineDetails(line, unit).map((one) => `<br>${esc(one)}`);
  return `<tr><td>${esc(line.zones.map(zoneName).join(", "))}</td><td>${colour}${esc(line.title)}${details.join("")}</td><td>${first === last ? first : `${first} to ${last}`}</td></tr>`;
}

function listOf(title: string, items: readonly string[]): string {
  return items.length === 0 ? "" : `<h3>${esc(title)}</h3><ul>${items.map((one) => `<li>${esc(one)}</li>`).join("")}</ul>`;
}

function article(record: LogRecord, unit: LengthUnit, pictures: Pictures): string {
  const { told = {}, count } = record;
  const face = record.pictures.at(-1);
  const { here } = piecesOf(record);
  const dates = [record.begunOn && `begun ${record.begunOn}`, record.finishedOn && `finished ${record.finishedOn}`].filter(Boolean).join(", ");
  const words = [
    told.colours && `Colours: ${told.colours}`,
    told.paints && `Paints: ${told.paints}`,
    told.sealer && `Sealer: ${told.sealer}`,
    told.note,
  ].filter((one) => one !== undefined && one !== "") as string[];
  const work =
    record.work.length === 0
      ? ""
      : `<table><thead><tr><th>Where</th><th>What</th><th>When</th></tr></thead><tbody>${record.work.map((line) => workRow(line, unit)).join("")}</tbody></table>`;
  return [
    `<article id="${esc(record.id)}"><h2>${esc(record.name)}</h2>`,
    `<p>${esc(sayBody(record, unit))}${count > 1 ? `; ${count} of them, ${here} still here` : ""}${dates === "" ? "" : `; ${esc(dates)}`}.</p>`,
    record.pictures.map((picture) => figure(picture, picture === face, pictures)).join(""),
    work,
    record.work.length > 0 && sayRoom(record) !== null ? `<p>It dried at ${esc(sayRoom(record)!)}.</p>` : "",
    listOf("What is remembered", words),
    listOf(
      "Paint",
      record.paint.map(({ name, ml }) => `${name}: ${sayMl(ml)}`),
    ),
    listOf(
      "What went wrong",
      record.mishaps.map(({ at, kind, title }) => `${at.slice(0, 10)}: ${title} ${kind === "tacky" ? "was still tacky" : "was laid again"}`),
    ),
    listOf(
      "How it held",
      record.looks.map(
        ({ at, saw, zone, note }) =>
          `${at.slice(0, 10)}: ${saw.map((one) => SAW_WORDS[one]).join(", ")}${zone ? `, ${zoneName(zone).toLowerCase()}` : ""}${note ? `. ${note}` : ""}`,
      ),
    ),
    listOf(
      "Where it went",
      record.moves.map(({ on, kind, count: moved, to }) => `${on}: ${moved} ${MOVE_WORDS[kind]}${to ? `, ${to}` : ""}`),
    ),
    listOf(
      "Added later",
      record.additions.map(({ at, text }) => `${at.slice(0, 10)}: ${text}`),
    ),
    "</article>",
  ].join("\n");
}

function trialArticle(trial: Trial): string {
  const rows = trial.spots.map(
    ({ what, looks }) =>
      `<tr><td>${esc(what)}</td><td>${looks.map(({ at, saw }) => esc(`${at.slice(0, 10)}: ${saw.map((one) => SAW_WORDS[one]).join(", ")}`)).join("<br>")}</td></tr>`,
  );
  const says = trialSays(trial);
  return `<article><h2>Trial: ${esc(trial.name)}</h2><p>Begun ${trial.begunOn}${trial.lies ? `; it lies ${esc(trial.lies)}` : ""}.</p><table><tbody>${rows.join("")}</tbody></table>${says ? `<p>${esc(says.text)}</p>` : ""}</article>`;
}

/** What goes onto the page. */
export interface LogbookPage {
  readonly records: readonly LogRecord[];
  readonly trials: readonly Trial[];
  readonly pictures: Pictures;
  readonly unit: LengthUnit;
  /** "YYYY-MM-DD" it is written on. */
  readonly on: string;
  readonly signature: string;
}

/**
 * The whole logbook as one page that opens for ever by itself: no script, nothing fetched, its photographs inside. Of each piece its last photograph is
 * whole, the others are small.
 */
export function writeLogbookHtml({ records, trials, pictures, unit, on, signature }: LogbookPage): string {
  const whose = signature.trim() === "" ? "Logbook" : `Logbook of ${signature.trim()}`;
  const links = records.map(({ id, name, finishedOn }) => `<li><a href="#${esc(id)}">${esc(name)}</a> <span class="soft">${finishedOn ?? ""}</span></li>`);
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; img-src data:; style-src 'unsafe-inline'">
<title>${esc(whose)}</title>
<style>${STYLE}</style>
</head>
<body>
<h1>${esc(whose)}</h1>
<p class="soft">Written on ${on} from a Nook Coat notebook. It needs nothing but a browser; it cannot be read back in: keep the notebook's own file for that.</p>
<nav aria-label="Pieces"><ul>${links.join("")}</ul></nav>
<main>
${records.map((record) => article(record, unit, pictures)).join("\n")}
${trials.map(trialArticle).join("\n")}
</main>
</body>
</html>
`;
}
