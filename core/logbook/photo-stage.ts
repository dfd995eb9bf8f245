import type { ProgressRecord, RecordedAct } from "./progress";

/**
 * How far a piece was when a photograph of it was taken: what had been laid or done last, and still stood then.
 *
 * @param progress all that was noted of the piece
 * @param at instant, ISO 8601
 * @returns the act; null where nothing had been done yet
 */
export function stageAt(progress: readonly ProgressRecord[], at: string): RecordedAct | null {
  const until = Date.parse(at);
  const before = progress.filter((one) => Date.parse(one.at) <= until).sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const standing = before.reduce<readonly ProgressRecord[]>((kept, one) => {
    const same = (other: ProgressRecord) => other.stepId === one.stepId && other.zone === one.zone && other.coat === one.coat && other.half === one.half;
    if (one.kind === "done") return [...kept, one];
    return one.kind === "removed" || one.kind === "ruined" ? kept.filter((other) => !same(other)) : kept;
  }, []);
  return standing.at(-1)?.act ?? null;
}
