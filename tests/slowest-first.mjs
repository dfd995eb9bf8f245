import Sequencer from "@jest/test-sequencer";

/** What takes longest is begun first, so that no worker is left with it at the end while the other rests. */
const FIRST = ["/tests/reference/sweep", "/tests/e2e/", "/tests/reference/", "/tests/reliability/"];
const rank = ({ path }) => (FIRST.findIndex((part) => path.includes(part)) + FIRST.length + 1) % (FIRST.length + 1);

export default class SlowestFirst extends Sequencer {
  sort(tests) {
    return [...super.sort(tests)].sort((one, other) => rank(one) - rank(other));
  }
}
