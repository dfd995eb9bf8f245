import { alikeZones } from "#core/coating/explain/alike-zones";
import type { Candidate } from "#core/coating/model/plan";
import { CoatSection } from "~/components/coat-section/section";
import { useMenu } from "~/components/use-menu";

/** What is on it is no longer work. */
const NO_NUMBERS: ReadonlyMap<string, number> = new Map();
const NOTHING_BARE: readonly string[] = [];

/** What is on a piece that nothing more can be planned for: it stays in sight, whatever was changed. */
export function OnItAlready({ candidate, material }: { candidate: Candidate; material: string }) {
  const menu = useMenu();
  const groups = alikeZones(candidate.zones);
  return (
    <section aria-label="What is on it already" className="mt-4">
      <h2 className="mb-2 text-xl">What is on it already</h2>
      <div className="sheet p-3">
        <CoatSection groups={groups} menu={menu} material={material} bare={NOTHING_BARE} numbers={NO_NUMBERS} />
      </div>
    </section>
  );
}
