/** Every shortcut, in one list for the help; single ones can be switched off. */
export const SHORTCUTS: readonly { readonly keys: string; readonly does: string; readonly single?: true }[] = [
  { keys: "Ctrl K", does: "Find a piece, a place or a thing to do" },
  { keys: "?", does: "This list", single: true },
  { keys: "N", does: "A new piece", single: true },
  { keys: "1, 2, 3, 4, 5, 6", does: "Go to the places, as they stand in the bar", single: true },
  { keys: "Ctrl Z", does: "Take back what was done last" },
  { keys: "Ctrl Shift Z", does: "Do it again" },
  { keys: "Space", does: "On the Bench, on the card you have chosen: it is done, or one more has it", single: true },
  { keys: "Arrow up, arrow down", does: "On the Bench: take another piece up" },
  { keys: "Arrow keys", does: "Walk the bands of a coat section" },
  { keys: "Enter", does: "Open a band: step, reasons, what else would do" },
  { keys: "D", does: "On an open band: mark its next coat as done", single: true },
];

/** Where text is edited: there undo is of the text. */
export function editsText(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && target.closest("input:not([type=checkbox], [type=radio], [type=range]), textarea, select, [contenteditable]") !== null
  );
}

/** Where keys are meant for what has the focus: text, a list, a box to tick, a chip, and all that is opened over the page. */
export function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.closest(
      "input, textarea, select, [contenteditable], [role=checkbox], [role=radio], [role=combobox], [role=listbox], [role=dialog], [role=alertdialog], .chip",
    ) !== null
  );
}
