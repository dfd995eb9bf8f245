import { Link } from "react-router";
import { RECORD_LIMITS } from "#core/formats/stores/records";
import { COST_SHARES, costOf, priceAt } from "#core/logbook/record/cost";
import { SELLING_RULES } from "#core/logbook/giving/not-for";
import type { LogRecord, Money } from "#core/logbook/record/record";
import type { RecordChange } from "#core/logbook/record/record-changes";
import { useAppContext } from "~/components/app-context";
import { NumberField } from "~/components/number-field";
import { SHARE_WORDS, sayMoney } from "~/logbook/logbook-words";

const MONEY = { least: 0, most: RECORD_LIMITS.money } as const;

/** What one of it cost, share by share, and what it is sold for. What nobody knows is said to be missing, never taken as nothing. */
export function MoneyPart({ record, change }: { record: LogRecord; change: (change: RecordChange) => void }) {
  const { settings } = useAppContext();
  const cost = costOf(record, settings);
  const said = (part: keyof Money) => (value: number | undefined) => {
    const { [part]: _before, ...rest } = record.money ?? {};
    change({ kind: "money", money: { ...rest, ...(value === undefined ? {} : { [part]: value }) }, seen: record.money ?? {} });
  };
  const shares = COST_SHARES.filter((share) => cost.shares[share] !== null);
  const advised = settings.margin === null || cost.known === 0 ? null : priceAt(cost.known, settings.margin);
  return (
    <section aria-labelledby="money">
      <h2 id="money" className="text-xl">
        What one cost
      </h2>
      {shares.length > 0 && (
        <table className="w-full">
          <tbody>
            {shares.map((share) => (
              <tr key={share}>
                <th scope="row" className="text-left font-normal">
                  {SHARE_WORDS[share]}
                </th>
                <td className="text-right tabular-nums">{sayMoney(cost.shares[share]!)}</td>
              </tr>
            ))}
            <tr className="border-t border-ink font-semibold">
              <th scope="row" className="text-left">
                {cost.missing.length > 0 ? "Known of it" : "In all"}
              </th>
              <td className="text-right tabular-nums">{sayMoney(cost.known)}</td>
            </tr>
          </tbody>
        </table>
      )}
      {cost.missing.length > 0 && (
        <p className="text-soft">
          Not known: {cost.missing.map((share) => SHARE_WORDS[share].toLowerCase()).join("; ")}
          {cost.unpriced.length > 0 && ` (no price on ${cost.unpriced.join(", ")})`}.
        </p>
      )}
      {advised !== null && (
        <p>
          With {Math.round(settings.margin! * 100)} in 100 of the price left over: <strong>{sayMoney(advised)}</strong>
          {cost.missing.length > 0 && " at the least"}.
        </p>
      )}
      <div className="mt-1 grid grid-cols-3 items-end gap-2 print:hidden">
        <NumberField label="Bare body" value={record.money?.body} bounds={MONEY} save={said("body")} />
        <NumberField label="Box, cord" value={record.money?.other} bounds={MONEY} save={said("other")} />
        <NumberField label="Price" value={record.money?.price} typical={advised === null ? undefined : sayMoney(advised)} bounds={MONEY} save={said("price")} />
      </div>
      <p className="mt-1 text-soft print:hidden">
        Your hour, your tools and your margin are said{" "}
        <Link to="/logbook/stall#rates" className="underline">
          at the stall
        </Link>
        .
      </p>
      {record.money?.price !== undefined && <p className="mt-1 text-sm text-soft print:hidden">{SELLING_RULES}</p>}
    </section>
  );
}
