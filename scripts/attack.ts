/** `npm run attack`: ten thousand damaged files against reader, planner and dates. */
import { attack } from "../tests/reliability/attack";

const [count = 10_000, seed = 1] = process.argv.slice(2).map(Number);
const { faults, ...tally } = attack(seed, count);
console.log(JSON.stringify(tally));
for (const fault of faults.slice(0, 20)) console.log(fault);
console.log(`${faults.length} faults`);
process.exit(faults.length > 0 ? 1 : 0);
