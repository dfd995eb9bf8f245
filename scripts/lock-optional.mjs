/**
 * Completes the lock file after `npm install`: a registry that lacks builds for other platforms makes npm leave their
 * optional entries out, and `npm ci` then refuses the lock. Names of native packages carry their system and processor.
 */
import { readFileSync, writeFileSync } from "node:fs";

const OSES = ["darwin", "linux", "win32", "freebsd", "openbsd", "netbsd", "sunos", "aix", "android", "openharmony"];
const CPUS = ["arm64", "x64", "ia32", "arm", "ppc64", "s390x", "riscv64", "loong64", "mips64el", "wasm32"];

const file = new URL("../package-lock.json", import.meta.url);
const lock = JSON.parse(readFileSync(file, "utf8"));
let added = 0;
for (const [path, entry] of Object.entries({ ...lock.packages })) {
  for (const [name, version] of Object.entries(entry.optionalDependencies ?? {})) {
    const nested = `${path}/node_modules/${name}`;
    const top = `node_modules/${name}`;
    if (lock.packages[nested] || lock.packages[top]) continue;
    const parts = name.split(/[-/]/);
    const os = parts.find((part) => OSES.includes(part));
    const cpu = parts.find((part) => CPUS.includes(part));
    if (!os && !cpu) continue;
    const libc = parts.includes("musl") ? ["musl"] : parts.includes("gnu") ? ["glibc"] : undefined;
    lock.packages[top] = {
      version,
      ...(cpu ? { cpu: [cpu] } : {}),
      ...(libc ? { libc } : {}),
      ...(os ? { os: [os] } : {}),
      optional: true,
      ...(entry.dev ? { dev: true } : {}),
    };
    added += 1;
  }
}
lock.packages = Object.fromEntries(Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : 1)));
writeFileSync(file, `${JSON.stringify(lock, null, 2)}\n`);
console.log(`${added} optional entries added to the lock file`);
