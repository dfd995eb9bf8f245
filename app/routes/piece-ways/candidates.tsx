import { RadioGroup } from "radix-ui";
import { useState } from "react";
import { Award } from "lucide-react";
import { comparePlans } from "#core/coating/explain/compare-plans";
import type { ComparedRow } from "#core/coating/explain/compare-plans";
import type { Candidate } from "#core/coating/model/plan";
import type { Step } from "#core/coating/model/step";
import { scoreDifference, tradesOf, winsOf } from "#core/coating/facts/trade-offs";
import type { Menu } from "#core/catalogue/menu";
import { sayDuration } from "#core/units/duration";
import { Choice } from "~/components/fields";
import { stepTitle, TRADE_WORDS, waitText, WIN_WORDS, zoneNames } from "~/components/words";

const DAY_MIN = 24 * 60;
/** What a plan trades against the one the user follows, in the words of what the user would notice. */
function trades(one: Candidate, against: Candidate): string {
  const said = tradesOf(scoreDifference(one.scores, against.scores)).map((trade) => TRADE_WORDS[trade]);
  return said.length > 0 ? said.join(", ") : "much the same, another way of working";
}

/** What a plan wins among those shown, but for what its title says already. */
function winsBesideTitle(one: Candidate, candidates: readonly Candidate[]): readonly string[] {
  const title = one.title.toLowerCase();
  return winsOf(one, candidates)
    .map((win) => WIN_WORDS[win])
    .filter((words) => !words.endsWith(title));
}

function Wins({ words }: { words: readonly string[] }) {
  if (words.length === 0) return null;
  return (
    <span className="font-normal">
      <Award aria-hidden size={16} className="inline text-ready" /> Of all these: {words.join(", ")}.
    </span>
  );
}

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

/** Two plans side by side; what differs is marked and said. */
function Comparison({ left, right, menu }: { left: Candidate; right: Candidate; menu: Menu }) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse">
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
        {comparePlans(left, right).map(({ zones, rows }) => (
          <tbody key={zones.join("+")}>
            <tr>
              <th scope="rowgroup" colSpan={2} className="border-t-2 border-ink p-2 text-left font-display font-normal">
                {zoneNames(zones)}
              </th>
            </tr>
            {rows.every((row) => row.left && row.right && row.differs.length === 0) && (
              <tr>
                <td colSpan={2} className="border-t border-line p-2 text-soft">
                  the same in both
                </td>
              </tr>
            )}
            {rows.some((row) => !row.left || !row.right || row.differs.length > 0) &&
              rows.map((row, index) => (
                <tr key={index}>
                  <Cell step={row.left} menu={menu} note={noteOf(row, "left")} />
                  <Cell step={row.right} menu={menu} note={noteOf(row, "right")} />
                </tr>
              ))}
          </tbody>
        ))}
      </table>
    </div>
  );
}

interface Props {
  readonly candidates: readonly Candidate[];
  readonly shown: Candidate;
  readonly menu: Menu;
  readonly choose: (candidate: Candidate) => void;
}

/** The ways to do it: what each is, what it trades, and any two side by side. */
export function Candidates({ candidates, shown, menu, choose }: Props) {
  const [otherId, setOtherId] = useState<string>("");
  const others = candidates.filter((one) => one.id !== shown.id);
  const other = others.find((one) => one.id === otherId) ?? null;
  return (
    <div className="grid gap-4">
      <RadioGroup.Root
        aria-label={`${candidates.length} ways to do it`}
        className="grid gap-2 sm:grid-cols-2 lg:grid-cols-3"
        value={shown.id}
        onValueChange={(id) => choose(candidates.find((one) => one.id === id)!)}
      >
        {candidates.map((one) => (
          <RadioGroup.Item key={one.id} value={one.id} className="chip flex-col items-start gap-0 py-2 text-left">
            <span className="font-bold">
              {one.id === shown.id && <span aria-hidden>✓ </span>}
              {one.title}
            </span>
            <span className="font-normal text-soft">{one.school}</span>
            <span className="font-normal">
              {sayDuration(one.totals.handsOnMin)} of work; done in {sayDuration(Math.max(one.totals.elapsedMin, 60))}, hard in{" "}
              {sayDuration(one.scores.readyDays * DAY_MIN)}
            </span>
            <Wins words={winsBesideTitle(one, candidates)} />
            {one.id !== shown.id && <span className="font-normal text-ready">Against yours: {trades(one, shown)}.</span>}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      {others.length > 0 && (
        <div className="max-w-sm">
          <Choice
            label="Compare yours with"
            value={other?.id ?? ""}
            choices={[{ id: "", name: "choose one" }, ...others.map((one) => ({ id: one.id, name: one.title }))]}
            onChange={setOtherId}
          />
        </div>
      )}
      {other && <Comparison left={shown} right={other} menu={menu} />}
    </div>
  );
}
