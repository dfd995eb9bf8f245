import { scoreDifference, tradesOf } from "#core/coating/facts/trade-offs";
import type { Candidate } from "#core/coating/model/plan";
import { TRADE_WORDS } from "~/components/words";

/** What a plan trades against the one the user follows, in the words of what the user would notice; "" where that is nothing. */
export function sayTrades(one: Candidate, against: Candidate): string {
  return tradesOf(scoreDifference(one.scores, against.scores))
    .map((trade) => TRADE_WORDS[trade])
    .join(", ");
}
