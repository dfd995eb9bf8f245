/** Whether what runs now was set off by the second click of a double click on a button. */
let second = false;

/** What the first click was on. */
let first: Element | null = null;

/** Controls a second click turns back: what they say is one value, set twice. */
const TURNED = "input, select, textarea, label, [role=switch], [role=checkbox], [role=radio], [aria-pressed], [data-repeats]";
/** What a click does something with. */
const HANDLED = "button, a, summary, label, input, select, textarea, [role=button], [role=tab], [role=option], [role=menuitem]";

if (typeof document !== "undefined")
  document.addEventListener(
    "click",
    (event) => {
      const target = event.target instanceof Element ? event.target : null;
      const on = target?.closest(HANDLED) ?? null;
      if (event.detail <= 1) {
        first = on;
        return;
      }
      // The first click has moved another thing under the hand: nobody has clicked that.
      if (on !== first) {
        event.preventDefault();
        event.stopPropagation();
        return;
      }
      second = target !== null && target.closest(TURNED) === null;
      // What a click sets off, the sending of its form among it, runs before anything else does.
      if (second) setTimeout(() => (second = false), 0);
    },
    true,
  );

/**
 * Whether a hand has clicked twice where it meant to click once: by its second click the row it meant may be gone, and the next one under it. Nothing is
 * asked for by such a click. A button that is meant to be pressed again and again says so: `data-repeats`.
 */
export function isSecondClick(): boolean {
  return second;
}
