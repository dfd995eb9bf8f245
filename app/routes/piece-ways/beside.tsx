import { alikeZones } from "#core/coating/explain/alike-zones";
import { comparePlans, differing } from "#core/coating/explain/compare-plans";
import type { ComparedRow } from "#core/coating/explain/compare-plans";
import { actNumbers } from "#core/coating/explain/told-acts";
import type { Candidate } from "#core/coating/model/plan";
import type { Step } from "#core/coating/model/step";
import type { Menu } from "#core/catalogue/menu";
import { MIN_PER_DAY, sayDuration } from "#core/units/duration";
import { sayVolume } from "#core/units/volume";
import { CoatSection } from "~/components/coat-section/section";
import { stepTitle, waitText, zoneName, zoneNames } from "~/components/words";

function Cell({ step, menu, note }: { step: Step | null; menu: Menu; note: string }) {
  return (
    <td className={`border-t border-line p-2 align-top ${note ? "bg-note-tint font-semibold" : ""}`}>
      {step ? (
        <>
          {stepTitle(step, menu)}
          {note && <span className="block text-sm font-normal text-soft">{note}</span>}
        </>
      ) : (
        <span className="text-soft">–</span>
      )}
    </td>
  );
}

const DIFFERENCE_WORDS: Record<ComparedRow["differs"][number], string> = {
  coats: "other number of coats",
  sheen: "other sheen",
  product: "another product",
  heat: "other heat",
  wait: "another wait before it",
};

function noteOf(row: ComparedRow, side: "left" | "right"): string {
  const step = row[side];
  if (!step) return "";
  if (!row.left || !row.right) return "only here";
  return row.differs.map((one) => (one === "wait" && step.waitBefore ? waitText(step.waitBefore).toLowerCase() : DIFFERENCE_WORDS[one])).join(", ");
}

/** How well a plan stands what its piece is for, by its grade, 0–3. */
const WEAR_WORDS = ["poorly", "fairly", "well", "very well"] as const;

interface Total {
  readonly name: string;
  readonly of: (plan: Candidate) => string;
}

const TOTALS: readonly Total[] = [
  { name: "At the bench", of: ({ totals }) => `about ${sayDuration(Math.max(1, totals.handsOnMin))}` },
  { name: "All coats on after", of: ({ totals }) => sayDuration(Math.max(60, totals.elapsedMin)) },
  { name: "Hard after", of: ({ scores }) => sayDuration(scores.readyDays * MIN_PER_DAY) },
  { name: "Coats of ground and colour", of: ({ scores }) => String(scores.coats) },
  { name: "Paint and varnish", of: ({ totals }) => sayVolume(Object.values(totals.jarMlByProduct).reduce((sum, ml) => sum + ml, 0)) },
  { name: "To buy", of: ({ scores: { products } }) => (products === 0 ? "nothing" : products === 1 ? "one thing" : `${products} things`) },
  { name: "How well it wears", of: ({ scores }) => WEAR_WORDS[Math.round(Math.min(WEAR_WORDS.length - 1, Math.max(0, scores.durability)))]! },
];

interface Props {
  readonly left: Candidate;
  readonly right: Candidate;
  readonly menu: Menu;
  readonly material: string;
}

/** What two plans come to, one under the other's figure. */
function Totals({ left, right }: Pick<Props, "left" | "right">) {
  return (
    <tbody>
      <tr>
        <th scope="rowgroup" colSpan={2} className="border-t-2 border-ink p-2 text-left font-display font-normal">
          In all
        </th>
      </tr>
      {TOTALS.map(({ name, of }) => {
        const [mine, other] = [of(left), of(right)];
        return (
          <tr key={name}>
            {[mine, other].map((said, index) => (
              <td key={index} className={`border-t border-line p-2 ${mine === other ? "" : "bg-note-tint font-semibold"}`}>
                <span className="font-normal text-soft">{name}: </span>
                {said}
              </td>
            ))}
          </tr>
        );
      })}
    </tbody>
  );
}

/** Two plans side by side, cut through and in words; what differs is marked and said, what they come to stands under them. */
export function Beside({ left, right, menu, material }: Props) {
  const compared = comparePlans(left, right);
  return (
    <div className="grid gap-4">
      <div className="grid gap-4 sm:grid-cols-2">
        {([left, right] as const).map((plan, index) => (
          <section key={plan.id} aria-label={`Cut through: ${plan.title}`} className="sheet min-w-0 p-3">
            <h2 className="mb-2 text-lg">{plan.title}</h2>
            <CoatSection
              groups={alikeZones(plan.zones)}
              menu={menu}
              material={material}
              bare={plan.bare.map(zoneName)}
              numbers={actNumbers(plan)}
              marked={differing(compared, plan, index === 0 ? "left" : "right")}
            />
          </section>
        ))}
      </div>
      <p className="text-soft">Dashes mark what the other does otherwise, or not at all.</p>
      <table className="w-full table-fixed border-collapse">
        <caption className="sr-only">
          {left.title} beside {right.title}
        </caption>
        <thead>
          <tr className="text-left">
            <th scope="col" className="w-1/2 p-2">
              {left.title}
            </th>
            <th scope="col" className="p-2">
              {right.title}
            </th>
          </tr>
        </thead>
        <Totals left={left} right={right} />
        {compared.map(({ zones, rows }) => (
          <tbody key={zones.join("+")}>
            <tr>
              <th scope="rowgroup" colSpan={2} className="border-t-2 border-ink p-2 text-left font-display font-normal">
                {zoneNames(zones)}
              </th>
            </tr>
            {rows.every((row) => row.left && row.right && row.differs.length === 0) ? (
              <tr>
                <td colSpan={2} className="border-t border-line p-2 text-soft">
                  the same in both
                </td>
              </tr>
            ) : (
              rows.map((row, index) => (
                <tr key={index}>
                  <Cell step={row.left} menu={menu} note={noteOf(row, "left")} />
                  <Cell step={row.right} menu={menu} note={noteOf(row, "right")} />
                </tr>
              ))
            )}
          </tbody>
        ))}
      </table>
    </div>
  );
}
