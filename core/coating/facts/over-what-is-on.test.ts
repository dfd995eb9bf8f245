/** What is on a piece, in whatever order it came there, is what the rest waits for. */
import { describe, expect, test } from "@jest/globals";
import { edge, task, workOf } from "../../../tests/reference/made-up-tables";
import { overWhatIsOn } from "./over-what-is-on";
import type { Over, Task } from "./task";

const film = { typicalMin: 20, cautiousMin: 30, film: "craft-acrylic" as never };
const over = (of: string, typicalMin: number, more: Partial<Over> = {}): Over => ({ ...edge(of, typicalMin), ordered: false, heats: [], ...more });
const waits = (tasks: readonly Task[], id: string) => tasks.find((one) => one.id === id)!.after.map((one) => [one.task, one.typicalMin]);

/** A base, dots on it, a bake and a seal; every one may lie over every other. */
const WORK = workOf([
  { ...task("base", 20), touch: film },
  { ...task("dots", 10, [edge("base", 60)]), touch: film, over: [over("base", 60, { ordered: true }), over("late", 60)] },
  task("bake", 10, [edge("dots", 1440)]),
  {
    ...task("seal", 10, [edge("bake", 0)]),
    touch: film,
    over: [
      over("base", 1440, { ordered: true, heats: ["bake"] }),
      over("dots", 2000, { ordered: true, heats: ["bake"] }),
      over("late", 1440, { heats: ["bake"] }),
    ],
  },
  { ...task("late", 10, [edge("seal", 180)]), touch: film },
]);

describe("work over what is on the piece", () => {
  test("is as it was while nothing is", () => {
    expect(overWhatIsOn(WORK, new Map())).toBe(WORK);
  });

  test("waits for a film that was laid before its turn, and the film waits for nothing that goes over it now", () => {
    const { tasks } = overWhatIsOn(
      WORK,
      new Map([
        ["base", 0],
        ["late", 5],
      ]),
    );
    expect(waits(tasks, "dots")).toEqual([
      ["base", 60],
      ["base", 60],
      ["late", 60],
    ]);
    expect(waits(tasks, "late")).toEqual([]);
  });

  test("asks nothing of what was baked since it was laid, and all of what was laid after the bake", () => {
    const baked = new Map([
      ["base", 0],
      ["dots", 10],
      ["bake", 20],
    ]);
    expect(waits(overWhatIsOn(WORK, baked).tasks, "seal")).toEqual([["bake", 0]]);
    expect(waits(overWhatIsOn(WORK, new Map([...baked, ["dots", 30]])).tasks, "seal")).toEqual([
      ["bake", 0],
      ["dots", 2000],
    ]);
    expect(waits(overWhatIsOn(WORK, new Map([...baked, ["late", 25]])).tasks, "seal")).toEqual([
      ["bake", 0],
      ["late", 1440],
    ]);
  });

  test("waits for a coat beneath it that is still to be laid, though the bake was before", () => {
    const { tasks } = overWhatIsOn(
      WORK,
      new Map([
        ["base", 0],
        ["bake", 20],
      ]),
    );
    expect(waits(tasks, "seal")).toContainEqual(["dots", 2000]);
  });

  test("comes after what stands before it in the plan, though what lies between is done", () => {
    const chain = workOf([task("sand", 5, []), task("coat", 10, [edge("sand", 0)]), task("seal", 10, [edge("coat", 180)])]);
    expect(waits(overWhatIsOn(chain, new Map([["coat", 0]])).tasks, "seal")).toEqual([
      ["coat", 180],
      ["sand", 0],
    ]);
  });

  test("hardens from the film that was laid last on its place", () => {
    const work = { ...WORK, milestones: [{ ...WORK.milestones[0]!, task: "seal" }] };
    expect(
      overWhatIsOn(
        work,
        new Map([
          ["dots", 10],
          ["seal", 50],
        ]),
      ).milestones[0]!.task,
    ).toBe("seal");
    expect(
      overWhatIsOn(
        work,
        new Map([
          ["dots", 90],
          ["seal", 50],
        ]),
      ).milestones[0]!.task,
    ).toBe("dots");
  });
});
