import type { Scores } from "../model/plan";

/**
 * Differences of a score that nobody would notice: up to these two plans count as alike, in what is said of them and in how hard the search
 * looks for a better one. Grades, days, minutes, money; of what is counted, less than one [judgement of this project].
 */
export const UNNOTICED = {
  durability: 0.3,
  readyDays: 0.5,
  handsOnMin: 15,
  products: 0.5,
  coats: 0.5,
  harshness: 0.5,
  cost: 0.2,
  forgiving: 0.5,
} as const satisfies Partial<Record<keyof Scores, number>>;
