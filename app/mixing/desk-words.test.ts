/** What the desk says: as a painter says it, with no figure she cannot use. */
import { expect, test } from "@jest/globals";
import { costText, measureBoth, measureText, nearnessText, thinnedText } from "./desk-words";

test.each([
  [measureText(0.05, 1), "1 drop"],
  [measureText(1.2, 24), "24 drops"],
  [measureText(8.46, 169), "8.5 ml"],
  [measureText(84.4, 1688), "84 ml"],
  [measureBoth(0.8, 16), "16 drops (0.8 ml)"],
  [measureBoth(0.1, 2), "2 drops"],
  [nearnessText(0.4), "nobody tells them apart"],
  [nearnessText(1.6), "it looks the same"],
  [nearnessText(3), "close: side by side you see a difference"],
  [nearnessText(20), "far off"],
  [thinnedText(0, 20), "nothing"],
  [thinnedText(5, 20), "1 drop to a ml"],
  [thinnedText(20, 30), "6 drops to a ml"],
  [costText(4.138), "about 4.15"],
  [costText(23.4), "about 23"],
  [costText(0.01), "next to nothing"],
])("%#: %s", (said, wanted) => expect(said).toBe(wanted));
