import type { WhatIf } from "#core/drying/what-if";
import { sayDuration, sayDurationRange } from "#core/units/duration";

const REMEDY_WORDS: Readonly<Record<WhatIf["remedy"], (room: WhatIf["room"]) => string>> = {
  warmer: ({ temperatureC }) => `Warm the room to ${temperatureC} °C`,
  fan: () => "Set a fan on it",
  drier: ({ relativeHumidity }) => `Dry the air to ${Math.round(relativeHumidity * 100)} %`,
};

/** What a change of the room buys. @example "Set a fan on it: the wait falls to 15–35 min, about 2 hours less." */
export function soonerText({ remedy, room, takes, saves }: WhatIf): string {
  const range = sayDurationRange(takes.typicalMin, takes.cautiousMin);
  return `${REMEDY_WORDS[remedy](room)}: ${saves ? `the wait falls to ${range}, about ${sayDuration(saves.typicalMin)} less` : `then it dries, in ${range}`}.`;
}

/** What would have a coat dry sooner here. */
export function Sooner({ sooner }: { sooner: readonly WhatIf[] }) {
  if (sooner.length === 0) return null;
  return (
    <div>
      <h4 className="font-text font-semibold">To have it dry sooner</h4>
      <ul>
        {sooner.map((one) => (
          <li key={one.remedy}>{soonerText(one)}</li>
        ))}
      </ul>
    </div>
  );
}
