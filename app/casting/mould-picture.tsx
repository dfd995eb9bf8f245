import type { Form } from "#core/piece/form";

const SIZE = { width: 44, height: 36 } as const;

/** Outlines of bodies as they stand in a mould, open side up. */
const OUTLINES: Readonly<Record<Form["kind"], string>> = {
  pebble: "M4 16q0-10 18-10t18 10-18 12T4 16z",
  dome: "M5 10h34q-2 18-17 18T5 10z",
  disc: "M5 12h34v9q-17 7-34 0z",
  frustum: "M6 6h32l-6 24H12z",
  cylinder: "M9 6h26v24H9z",
  box: "M5 9h34v19H5z",
  plate: "M3 12q19 16 38 0-6 14-19 14T3 12z",
  goblet: "M9 5h26q0 14-11 15v8h7v3H13v-3h7v-8Q9 19 9 5z",
  custom: "M8 8l26-3 4 20-28 5z",
};

/** A mould in outline, with the body in it. */
export function MouldPicture({ form }: { form: Form }) {
  return (
    <svg width={SIZE.width} height={SIZE.height} viewBox={`0 0 ${SIZE.width} ${SIZE.height}`} aria-hidden>
      <path d="M1 4v29h42V4" fill="none" stroke="var(--ready)" strokeWidth="2" />
      <path d={OUTLINES[form.kind]} fill="var(--line)" stroke="var(--ink)" strokeWidth="1.5" />
    </svg>
  );
}
