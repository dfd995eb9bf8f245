/**
 * A sentence or a name as it goes on inside another sentence.
 *
 * @param text begins with a letter; anything else is left as it is
 * @example lowerFirst("Dots of 4 mm") // "dots of 4 mm"
 */
export function lowerFirst(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}
