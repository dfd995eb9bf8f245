import { Link } from "react-router";
import type { PictureId } from "#core/catalogue/ids";
import type { LogRecord } from "#core/logbook/record/record";
import { piecesOf } from "#core/logbook/record/pieces-left";
import { coloursOf, holdersOf, sealersOf } from "#core/logbook/record/say-record";
import { ColourChip } from "~/components/colour-chip";
import { RecordFace } from "~/logbook/record-face";
import { sayWhen } from "~/logbook/logbook-words";

/** Colours shown of one piece. */
const MOST_COLOURS = 6;
/** Lines that answer a question, shown of one piece. */
const MOST_ANSWERS = 3;

interface Props {
  readonly record: LogRecord;
  readonly answers: readonly string[];
  readonly faceAt: (picture: PictureId) => Promise<string | null>;
  /** Null where it opens; else it is chosen to lie beside another. */
  readonly picked: { readonly on: boolean; readonly pick: () => void } | null;
}

/** Where the pieces are, in a few words. */
function whereWords(record: LogRecord): string {
  const { here, sold } = piecesOf(record);
  const holders = holdersOf(record);
  if (holders.length > 0)
    return `${holders.slice(0, 2).join(", ")}${holders.length > 2 ? ` and ${holders.length - 2} more` : ""}${here > 0 && record.count > 1 ? `; ${here} here` : ""}`;
  if (record.count === 1) return here === 1 ? "" : sold === 1 ? "sold" : "";
  return `${here} of ${record.count} here${sold > 0 ? `, ${sold} sold` : ""}`;
}

/** A finished piece as it stands on the shelf: looked at first, read after. */
export function ShelfPiece({ record, answers, faceAt, picked }: Props) {
  const colours = coloursOf(record);
  const sealers = sealersOf(record);
  const [when, where] = [sayWhen(record), whereWords(record)];
  const inside = (
    <>
      <span className="flex h-40 items-end justify-center px-3">
        <RecordFace record={record} faceAt={faceAt} />
      </span>
      <span aria-hidden className="shelf-board" />
      <span className="block px-1 pt-2">
        <span className="block font-display text-lg leading-snug [overflow-wrap:anywhere]">{record.name}</span>
        <span className="block text-soft">
          {record.body}
          {record.count > 1 && ` × ${record.count}`}
          {when !== "" && `, ${when}`}
        </span>
        {colours.length > 0 && (
          <span className="mt-1 flex flex-wrap items-center gap-1">
            {colours.slice(0, MOST_COLOURS).map((colour) => (
              <ColourChip key={colour} colour={colour} size={20} />
            ))}
          </span>
        )}
        {answers.length > 0 ? (
          <span className="mt-1 block rounded bg-note-tint px-2 py-1">
            {answers.slice(0, MOST_ANSWERS).map((line) => (
              <span key={line} className="block [overflow-wrap:anywhere]">
                {line}
              </span>
            ))}
          </span>
        ) : (
          sealers.length > 0 && <span className="block">sealed with {sealers.join(", ")}</span>
        )}
        {where !== "" && <span className="block text-soft">{where}</span>}
      </span>
    </>
  );
  const look = "block h-full rounded-lg p-2 text-left text-ink no-underline";
  if (!picked)
    return (
      <Link to={`/logbook/records/${record.id}`} className={`${look} hover:bg-sheet`}>
        {inside}
      </Link>
    );
  return (
    <button
      type="button"
      aria-pressed={picked.on}
      className={`${look} w-full border-2 ${picked.on ? "border-ready bg-note-tint" : "border-dashed border-line"}`}
      onClick={picked.pick}
    >
      {inside}
    </button>
  );
}
