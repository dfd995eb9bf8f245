import { sayStanding } from "#core/catalogue/provenance";
import type { CastMaturity } from "#core/casting/cast-maturity";
import { causticity, DATUM_STANDING } from "#core/casting/maturity";
import { sayDay } from "~/components/time-words";

const CAUSTIC_WORDS = {
  wet: "Still caustic and wet: gloves.",
  young: "Young cement is caustic: it eats ordinary acrylic from below. Wait, or begin with a primer that stands alkali.",
  mature: "It is mature: ordinary paint may go on, once it is dry.",
} as const;

/** How far a cement body has matured. */
export function CementPart({ maturity, now }: { maturity: CastMaturity; now: number }) {
  const { share, equivalentDays, matureAt, dampUntil } = maturity;
  return (
    <div>
      <p className={share === 1 ? "text-ready" : ""}>
        {share === 1
          ? "As hard as 28 days at 20 °C."
          : `${Math.floor(equivalentDays)} of 28 days at 20 °C, as warm as it has been (${sayStanding(DATUM_STANDING)}).`}{" "}
        {share < 1 && (matureAt === null ? "In this cold it stands still." : `Mature about ${sayDay(matureAt, now)}.`)}
      </p>
      <span aria-hidden className="mt-1 block h-2 max-w-80 overflow-hidden rounded-sm border border-line">
        <span className="block h-full bg-ready" style={{ width: `${share * 100}%` }} />
      </span>
      {now < dampUntil && <p>Keep it damp under film till {sayDay(dampUntil, now)}: cement that dries early never gets hard.</p>}
      <p className={share === 1 ? "" : "text-act"}>{CAUSTIC_WORDS[causticity(maturity)]}</p>
    </div>
  );
}
