/**
 * Walks the combinations of one choice from each list, cheapest sum first, without making them all: a frontier of
 * combinations, each of which leads to its neighbours with one choice made one step dearer.
 *
 * @param costs for each list, costs sorted from low to high; an empty list has no combination
 * @yields positions into each list and the sum, in order of the sum
 * @example [...cheapestFirst([[0, 5], [0, 1]])].map((c) => c.total) // [0, 1, 5, 6]
 */
export function* cheapestFirst(costs: readonly (readonly number[])[]): Generator<{ readonly at: readonly number[]; readonly total: number }> {
  if (costs.some((list) => list.length === 0)) return;
  const total = (at: readonly number[]) => at.reduce((sum, position, list) => sum + costs[list]![position]!, 0);
  const start = costs.map(() => 0);
  // `from` keeps each combination reachable by one path only: lists before it stay as they are.
  const frontier: { at: readonly number[]; total: number; from: number }[] = [{ at: start, total: total(start), from: 0 }];
  while (frontier.length > 0) {
    const next = pop(frontier);
    yield next;
    for (let list = next.from; list < costs.length; list += 1) {
      const dearer = next.at[list]! + 1;
      if (dearer >= costs[list]!.length) continue;
      const at = next.at.map((position, index) => (index === list ? dearer : position));
      push(frontier, { at, total: next.total + costs[list]![dearer]! - costs[list]![dearer - 1]!, from: list });
    }
  }
}

interface Ranked {
  readonly total: number;
}

function push<T extends Ranked>(heap: T[], item: T): void {
  heap.push(item);
  let child = heap.length - 1;
  while (child > 0) {
    const parent = (child - 1) >> 1;
    if (heap[parent]!.total <= heap[child]!.total) return;
    [heap[parent], heap[child]] = [heap[child]!, heap[parent]!];
    child = parent;
  }
}

function pop<T extends Ranked>(heap: T[]): T {
  const top = heap[0]!;
  const last = heap.pop()!;
  if (heap.length === 0) return top;
  heap[0] = last;
  for (let parent = 0; ;) {
    const left = parent * 2 + 1;
    const right = left + 1;
    let least = parent;
    if (left < heap.length && heap[left]!.total < heap[least]!.total) least = left;
    if (right < heap.length && heap[right]!.total < heap[least]!.total) least = right;
    if (least === parent) return top;
    [heap[parent], heap[least]] = [heap[least]!, heap[parent]!];
    parent = least;
  }
}
