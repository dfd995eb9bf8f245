/** The colours of a plan as the mixing desk takes them up: in order, over what is beneath, as far as they are still to do. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { materialId, productId } from "../../catalogue/ids";
import { withOwnProducts } from "../../catalogue/own-product";
import { colourDifference } from "../../film/colour";
import { standingPlan, wholeStep } from "../../logbook/plan-on-body";
import { planPiece } from "../planner/plan-piece";
import { firstPlan, pebble, pot } from "../../../tests/reference/bench";
import { planColours } from "./plan-colours";
import type { PlanColour } from "./plan-colours";

const NAVY = "#1f3a4d";
const YELLOW = "#f5c518";
const BLACK = "#1b1b1d";

function coloursOf(piece: Parameters<typeof firstPlan>[0]): { readonly colours: readonly PlanColour[]; readonly candidate: ReturnType<typeof firstPlan> } {
  const candidate = firstPlan(piece);
  return { candidate, colours: planColours(piece, candidate, CATALOGUE) };
}

describe("the colours of a plan", () => {
  const banded = pot({ uses: ["planter", "outdoor-exposed"], decoration: { techniques: ["bands", "dots"], baseColour: NAVY, colours: [YELLOW, "#f4efe2"] } });

  test("come in the order they are first laid, grounds and clears apart, each with the zones it is laid in", () => {
    const { colours, candidate } = coloursOf(banded);
    expect(colours[0]).toMatchObject({ colour: NAVY, role: "base" });
    expect(new Set(colours.map(({ colour }) => colour)).size).toBe(colours.length);
    for (const { zones, stepIds } of colours) {
      expect(zones.length).toBeGreaterThan(0);
      for (const id of stepIds) expect(candidate.zones.some((zone) => zone.steps.some((step) => step.id === id))).toBe(true);
    }
    expect(colours.every(({ product }) => !CATALOGUE.products.get(product)!.jobs.includes("seal"))).toBe(true);
  });

  test("what lies beneath a mark is the field it is set on, and beneath the field its ground", () => {
    const { colours } = coloursOf(banded);
    const marks = colours.filter(({ colour }) => colour !== NAVY);
    for (const { beneath } of marks) expect(colourDifference(beneath, NAVY)).toBeLessThan(4);
    expect(colourDifference(colours[0]!.beneath, NAVY)).toBeGreaterThan(10);
  });

  test("thinner is told apart from paint, in the share it is thinned by", () => {
    for (const { jarMl, thinnerMl, thinning } of coloursOf(banded).colours) if (thinning) expect(thinnerMl).toBeCloseTo((jarMl * thinning.percent) / 100, 6);
  });

  test("an effect hides by its area and has no ratio", () => {
    const shimmer = pebble({ decoration: { techniques: ["dots"], media: ["pearl-acrylic"], baseColour: BLACK, colours: ["#c29a3f"] } } as never);
    const pearl = coloursOf(shimmer).colours.find(({ product }) => product === "pearl-acrylic")!;
    expect(pearl).toMatchObject({ contrastRatio: null, hides: null, coversArea: [0.3, 0.6] });
  });

  test("what is done takes no more paint and is told as done; the rest goes on", () => {
    const piece = pebble({ uses: ["handled"], decoration: { techniques: ["dots"], baseColour: NAVY, colours: [YELLOW] } });
    const { candidate, colours: before } = coloursOf(piece);
    const zone = candidate.zones[0]!;
    const at = zone.steps.findIndex((step) => step.role === "base");
    const laid = new Map(
      zone.steps
        .slice(0, at + 1)
        .flatMap((step, index) =>
          Array.from({ length: step.coats }, (_unused, coat) => [`${step.id}:${coat + 1}`, Date.parse("2026-11-20") + index * 3_600_000] as const),
        ),
    );
    const after = planColours(piece, standingPlan(piece, candidate, laid, CATALOGUE), CATALOGUE);
    const base = (colours: readonly PlanColour[]) => colours.find(({ colour }) => colour === NAVY)!;
    expect(base(before)).toMatchObject({ done: false });
    expect(base(before).jarMl).toBeGreaterThan(0);
    expect(base(after)).toMatchObject({ done: true, jarMl: 0 });
    expect(after.find(({ colour }) => colour === YELLOW)!.done).toBe(false);
  });

  test("what is left of a step of which a coat is done is changed with the step itself", () => {
    const piece = pebble({ uses: ["handled"], decoration: { techniques: ["dots"], baseColour: YELLOW, colours: [NAVY] } });
    const { candidate } = coloursOf(piece);
    const zone = candidate.zones[0]!;
    const base = zone.steps.find((step) => step.role === "base")!;
    expect(base.coats).toBeGreaterThan(1);
    const before = zone.steps
      .slice(0, zone.steps.indexOf(base))
      .flatMap((step) => Array.from({ length: step.coats }, (_unused, coat) => `${step.id}:${coat + 1}`));
    const laid = new Map([...before, `${base.id}:1`].map((task, index) => [task, Date.parse("2026-11-20") + index * 3_600_000] as const));
    const rest = planColours(piece, standingPlan(piece, candidate, laid, CATALOGUE), CATALOGUE).find(({ colour }) => colour === YELLOW)!;
    expect([...new Set(rest.stepIds.map(wholeStep))]).toEqual([base.id]);
    expect(rest).toMatchObject({ done: false, coats: base.coats - 1 });
    const whole = planColours(piece, candidate, CATALOGUE).find(({ colour }) => colour === YELLOW)!;
    expect(rest.jarMl).toBeLessThan(whole.jarMl);
  });

  test("a white underlay the plan knows of is laid from here, and the coats it saves are taken", () => {
    const weak = { id: "weak", classId: productId("craft-acrylic"), name: "Weak yellow", colour: YELLOW, label: { film: { contrastRatio: 0.5 } } };
    const catalogue = withOwnProducts(CATALOGUE, [weak]);
    const piece = pebble({
      material: materialId("slate"),
      uses: ["indoor-display"],
      decoration: { techniques: ["dots"], baseColour: YELLOW, media: ["craft-acrylic"] },
    } as never);
    const bare = planPiece(piece, catalogue, {}).candidates.find(({ findings }) => findings.some(({ code }) => code === "underlay-saves"))!;
    const base = planColours(piece, bare, catalogue).find(({ colour }) => colour === YELLOW)!;
    expect(base.hides!.underlay).toMatchObject({ name: "white" });
    expect(base.underlay).toEqual([
      expect.objectContaining({ op: "add", step: expect.objectContaining({ role: "prime" }) }),
      expect.objectContaining({ op: "set", field: "coats", stepId: base.stepIds[0] }),
    ]);
    const [, coats] = base.underlay as readonly { readonly value?: number }[];
    expect(coats!.value).toBeLessThan(base.coats - 1);
  });
});
