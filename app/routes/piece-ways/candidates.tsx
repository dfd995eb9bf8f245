import { RadioGroup } from "radix-ui";
import { useState } from "react";
import { Award } from "lucide-react";
import { alikeZones } from "#core/coating/explain/alike-zones";
import type { Candidate } from "#core/coating/model/plan";
import { winsOf } from "#core/coating/facts/trade-offs";
import type { Menu } from "#core/catalogue/menu";
import { sayDuration } from "#core/units/duration";
import { MiniSection } from "~/components/coat-section/mini-section";
import { Choice } from "~/components/fields";
import { WIN_WORDS } from "~/components/words";
import { Beside } from "./beside";
import { sayTrades } from "./say-trades";

const DAY_MIN = 24 * 60;
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

interface Props {
  readonly candidates: readonly Candidate[];
  readonly shown: Candidate;
  readonly menu: Menu;
  readonly material: string;
  readonly choose: (candidate: Candidate) => void;
}

/** The ways to do it: what each is, what it trades, and any two side by side. */
export function Candidates({ candidates, shown, menu, material, choose }: Props) {
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
            <span className="my-1 block">
              <MiniSection groups={alikeZones(one.zones)} menu={menu} material={material} states={null} label={`Coats: ${one.title}`} />
            </span>
            <span className="font-normal">
              {sayDuration(one.totals.handsOnMin)} of work; {sayDuration(Math.max(one.totals.elapsedMin, 60))} of paint and waits, hard after{" "}
              {sayDuration(one.scores.readyDays * DAY_MIN)}
            </span>
            <Wins words={winsBesideTitle(one, candidates)} />
            {one.id !== shown.id && (
              <span className="font-normal text-ready">Against yours: {sayTrades(one, shown) || "much the same, another way of working"}.</span>
            )}
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
      {other && <Beside left={shown} right={other} menu={menu} material={material} />}
    </div>
  );
}
