/** Farthest a hand that rests may tremble, px. */
const AT_REST_PX = 6;

interface Spot {
  readonly x: number;
  readonly y: number;
}

/** A hand that has clicked and rests: what it clicked, and where everything stood that a row of it could move. */
interface Resting extends Spot {
  readonly on: Element;
  /** Of each row the click was in: those that follow it, and where they stood; how tall what holds it was. */
  readonly parts: ReadonlyMap<Element, { readonly holder: HTMLElement; readonly after: ReadonlyMap<HTMLElement, Spot>; readonly height: number }>;
}

const isDrawn = (one: Element): one is HTMLElement => one instanceof HTMLElement;

/** One of several alike: a row of a list or a table, a card of a grid. */
function isRow(one: Element): boolean {
  return [one.previousElementSibling, one.nextElementSibling].some((beside) => beside?.tagName === one.tagName && beside.className === one.className);
}

function followers(one: Element): readonly HTMLElement[] {
  const found: HTMLElement[] = [];
  for (let next = one.nextElementSibling; next; next = next.nextElementSibling) if (isDrawn(next)) found.push(next);
  return found;
}

/** Where something stands on the page, however far the page is scrolled. */
function spotOf(one: Element): Spot {
  const { x, y } = one.getBoundingClientRect();
  return { x: x + window.scrollX, y: y + window.scrollY };
}

/** What holds the rows of a table grows by the table's own margin; all else by its own. */
const growing = (holder: HTMLElement): HTMLElement => holder.closest("table") ?? holder;

function at(on: Element, x: number, y: number): Resting {
  const parts = new Map<Element, { holder: HTMLElement; after: Map<HTMLElement, Spot>; height: number }>();
  for (let part: Element = on; part.parentElement && part.parentElement.closest("main"); part = part.parentElement) {
    const holder = part.parentElement;
    if (!isRow(part)) continue;
    parts.set(part, { holder, after: new Map(followers(part).map((one) => [one, spotOf(one)])), height: growing(holder).offsetHeight });
  }
  return { on, x, y, parts };
}

/** Holds what follows a row that is gone where it stood. @returns lets it go */
function held(gone: Element, { parts }: Resting): (() => void) | null {
  const place = parts.get(gone);
  if (!place?.holder.isConnected) return null;
  const moved = [...place.after].filter(([one]) => one.isConnected);
  // All is measured before anything is set: what is set moves the rest.
  const shifts = moved.map(([one, was]) => [one, was.x - spotOf(one).x, was.y - spotOf(one).y] as const);
  const tall = growing(place.holder);
  const lost = Math.max(0, place.height - tall.offsetHeight);
  // Something else has come in its place.
  if (shifts.some(([, , y]) => y < 0)) return null;
  for (const [one, x, y] of shifts) one.style.translate = `${x}px ${y}px`;
  if (lost > 0) tall.style.marginBottom = `${parseFloat(getComputedStyle(tall).marginBottom) + lost}px`;
  return () => {
    for (const [one] of shifts) one.style.removeProperty("translate");
    tall.style.removeProperty("margin-bottom");
  };
}

/**
 * The place of a row that goes under a hand stays empty until the hand is off it: the next one, with the same buttons, does not slide under it. It is so for
 * whatever is clicked and goes with its row, in every list, table and grid.
 *
 * @returns ends it
 */
export function keepPlaces(): () => void {
  let resting: Resting | null = null;
  let letGo: (() => void) | null = null;
  const off = () => {
    letGo?.();
    letGo = null;
    resting = null;
  };
  const isAway = ({ clientX, clientY }: MouseEvent) => resting !== null && Math.hypot(clientX - resting.x, clientY - resting.y) > AT_REST_PX;
  const onMove = (event: MouseEvent) => {
    if (isAway(event)) off();
  };
  const onClick = (event: MouseEvent) => {
    // What it is to do is done first: nothing moves between the press of a button and what comes of it.
    if (letGo) return void (isAway(event) && setTimeout(off, 0));
    const on = event.detail > 0 && event.target instanceof Element ? event.target.closest("main button") : null;
    resting = on && at(on, event.clientX, event.clientY);
  };
  const watching = new MutationObserver((changes) => {
    if (!resting || letGo || resting.on.isConnected) return;
    const { on } = resting;
    const gone = changes.flatMap(({ removedNodes }) => [...removedNodes]).find((one): one is Element => one instanceof Element && one.contains(on));
    letGo = gone ? held(gone, resting) : null;
  });
  watching.observe(document.body, { childList: true, subtree: true });
  const ended = new AbortController();
  const heard = { signal: ended.signal, capture: true, passive: true };
  document.addEventListener("click", onClick, heard);
  document.addEventListener("pointermove", onMove, heard);
  for (const kind of ["wheel", "keydown", "touchmove"]) document.addEventListener(kind, off, heard);
  return () => {
    off();
    watching.disconnect();
    ended.abort();
  };
}
