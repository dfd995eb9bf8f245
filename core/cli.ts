import { readFileSync } from "node:fs";
import { throughDoor } from "./cli-door";

const { exitCode, stdout, stderr } = throughDoor(process.argv.slice(2), () => readFileSync(0, "utf8"));
process.stdout.write(stdout);
process.stderr.write(stderr);
process.exitCode = exitCode;
