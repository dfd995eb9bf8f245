import type { ReactNode } from "react";
import type { GuideAsk } from "#core/marking/guide-ask";
import type { MarkingPlace } from "#core/marking/solve-piece";
import type { SolvedPattern } from "#core/marking/solved";
import type { Pattern } from "#core/piece/pattern";
import type { Marking } from "./use-marking";

/** Changes what is said of a pattern. */
export type ChangePattern = (set: Partial<Pattern>, clear?: readonly (keyof Pattern)[]) => void;

/** What is counted at the table. */
export interface Counted {
  /** How many marks are set; as many as there are where the plan says that the row is on. */
  readonly of: (row: string) => number;
  /** Whether the plan says that the row is on. */
  readonly inPlan: (row: string) => boolean;
  readonly save: (row: string, count: number) => void;
}

/** What a desk for one place is given. */
export interface DeskProps {
  readonly place: MarkingPlace;
  readonly pattern: Pattern;
  readonly marking: Marking;
  /** What the body is, for its guides. */
  readonly subject: Pick<GuideAsk, "form" | "object" | "parts" | "pencil">;
  readonly colours: readonly string[];
  readonly ground: string;
  /** What the papers are headed with. */
  readonly title: string;
  readonly pieceId: string | null;
  readonly counted: Counted | null;
  readonly change: ChangePattern;
  /** Over the drawing. */
  readonly head?: ReactNode;
}

/** What each look of the desk is given. */
export interface LookProps extends DeskProps {
  readonly solved: SolvedPattern;
  readonly chosen: string | null;
  readonly choose: (row: string | null) => void;
}
