import { useMemo } from "react";
import type { KeptPattern } from "#core/marking/kept-pattern";
import { USUAL_HAND } from "#core/marking/tool";
import type { Hand, MarkTool } from "#core/marking/tool";
import { useAsk, useAsked } from "~/actions/use-ask";
import { useDesk } from "~/mixing/use-desk";
import { freshId } from "~/store/fresh-id";
import type { MarkingAsk } from "./marking-asks";
import type { MarkingLoaded } from "./marking-loaded.client";

/** A pattern that is kept, with its id. */
export type OwnPattern = KeptPattern & { readonly id: string };

/** The register and the kept patterns with what is being saved in them, and what may be done to them. */
export interface Marking {
  readonly tools: readonly MarkTool[];
  readonly patterns: readonly OwnPattern[];
  readonly colours: MarkingLoaded["colours"];
  /** How the tools are used: every dot is reckoned so. */
  readonly hand: Hand;
  readonly setHand: (hand: Partial<Hand>) => void;
  /** @param seen the tool as it was shown; absent for a new one */
  readonly keepTool: (tool: MarkTool, seen?: MarkTool) => void;
  readonly removeTool: (tool: MarkTool) => void;
  readonly keepPattern: (pattern: KeptPattern) => void;
  readonly removePattern: (pattern: OwnPattern) => void;
  readonly setMarked: (piece: string, zone: string, row: string, count: number) => void;
  /** Counts that are being saved, by place and row. */
  readonly markedAsked: ReadonlyMap<string, number>;
}

export const MARKING = "/desk/marking";

function withTools(kept: readonly MarkTool[], asked: readonly MarkingAsk[]): readonly MarkTool[] {
  return asked.reduce<readonly MarkTool[]>((tools, ask) => {
    if (ask.intent === "keep-tool") return [...tools.filter(({ id }) => id !== ask.tool.id), ask.tool].sort((a, b) => a.mm - b.mm);
    return ask.intent === "remove-tool" ? tools.filter(({ id }) => id !== ask.id) : tools;
  }, kept);
}

function withPatterns(kept: readonly OwnPattern[], asked: readonly MarkingAsk[]): readonly OwnPattern[] {
  return asked.reduce<readonly OwnPattern[]>((patterns, ask) => {
    if (ask.intent === "keep-pattern") return [...patterns.filter(({ id }) => id !== ask.id), { ...ask.pattern, id: ask.id }];
    return ask.intent === "remove-pattern" ? patterns.filter(({ id }) => id !== ask.id) : patterns;
  }, kept);
}

/** A tool without what a record has beside it. */
function plainTool({ id, set, label, tip, mm, leaves }: MarkTool): MarkTool {
  return { id, label, tip, mm, ...(set ? { set } : {}), ...(leaves === undefined ? {} : { leaves }) };
}

export function useMarking(loaded: MarkingLoaded): Marking {
  const ask = useAsk<MarkingAsk>(MARKING);
  const asked = useAsked<MarkingAsk>(MARKING);
  const [hand, setHand] = useDesk<Hand>("hand", USUAL_HAND);
  return useMemo(
    () => ({
      tools: withTools(loaded.tools, asked),
      patterns: withPatterns(loaded.patterns, asked),
      colours: loaded.colours,
      hand,
      setHand,
      keepTool: (tool, seen) => void ask({ intent: "keep-tool", tool: plainTool(tool), ...(seen ? { seen: plainTool(seen) } : {}) }),
      removeTool: ({ id, label }) => void ask({ intent: "remove-tool", id, label }),
      keepPattern: (pattern) => void ask({ intent: "keep-pattern", id: freshId(), pattern }),
      removePattern: ({ id, name }) => void ask({ intent: "remove-pattern", id, name }),
      setMarked: (piece, zone, row, count) => void ask({ intent: "marked", piece, zone, row, count }),
      markedAsked: new Map(asked.flatMap((one) => (one.intent === "marked" ? [[`${one.zone}/${one.row}`, one.count] as const] : []))),
    }),
    [loaded, asked, ask, hand, setHand],
  );
}
