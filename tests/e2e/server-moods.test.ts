/** A server that is quiet, broken, renewed or asked too much: the notebook goes on. */
import { describe, expect, test } from "@jest/globals";
import { execFile } from "node:child_process";
import { mkdtemp, readFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { promisify } from "node:util";
import { allowComplaints, endedAfterTest, keptForOffline, newNotebook, URL_BASE, watchEveryPage, WITH_OWN_COPY } from "./bench";
import { fickleServer } from "./fickle-server";

watchEveryPage();

/** A server begun in the background of a shell that ends as soon as it answers. */
async function begunInShell(env: Record<string, string>): Promise<{ readonly url: string; readonly pid: number }> {
  const said = join(await mkdtemp(join(tmpdir(), "nook-coat-shell-")), "said");
  const script = `"${process.execPath}" server/run.mjs > "${said}" 2>&1 & while ! grep -q "is at" "${said}"; do sleep 0.1; done; echo $!`;
  const { stdout } = await promisify(execFile)("sh", ["-c", script], { env: { ...process.env, PORT: "0", ...env } });
  return { url: /http\S+/.exec(await readFile(said, "utf8"))![0], pid: Number(stdout) };
}

/** Whether a process is there. */
function runs(pid: number): boolean {
  try {
    return process.kill(pid, 0);
  } catch {
    return false;
  }
}

test("a server begun in the background outlives its shell; it leaves with it only where that is asked for", async () => {
  const [stays, leaves] = await Promise.all([begunInShell({}), begunInShell({ NOOK_COAT_LEAVE_WITH_PARENT: "1" })]);
  try {
    while (runs(leaves.pid)) await new Promise((resolve) => setTimeout(resolve, 50));
    expect((await fetch(`${stays.url}/settings`)).status).toBe(200);
  } finally {
    process.kill(stays.pid);
  }
});

describe("a server that is not well", () => {
  test("quiet, or behind a broken gateway, it is done without; unknown addresses and trailing strokes are answered", async () => {
    const server = endedAfterTest(await fickleServer(URL_BASE));
    const { page } = await newNotebook(WITH_OWN_COPY);
    await page.goto(server.url);
    await page.getByRole("heading", { name: "What have you got in your hand?" }).waitFor();
    await keptForOffline(page);
    for (const mood of ["quiet", "bad-gateway"] as const) {
      server.mood = mood;
      await page.goto(`${server.url}/settings/`);
      await page.getByRole("heading", { name: "Settings" }).waitFor();
      await page.goto(`${server.url}/nowhere/at/all`);
      await page.getByRole("heading", { name: "There is no such page" }).waitFor();
    }
    await page.goto("about:blank");
    await server.stop();
    allowComplaints(/502|404|Failed to load resource|ERR_/);
  });

  test("a newer version is offered in every tab, and taken when the user says so", async () => {
    const server = endedAfterTest(await fickleServer(URL_BASE));
    const { context, page } = await newNotebook(WITH_OWN_COPY);
    await page.goto(server.url);
    await keptForOffline(page);
    const other = await context.newPage();
    await other.goto(`${server.url}/settings`);
    await other.getByRole("heading", { name: "Settings" }).waitFor();
    server.mood = "newer";
    await other.evaluate(async () => void (await (await navigator.serviceWorker.ready).update()));
    for (const tab of [page, other]) await tab.getByText("A new version of Nook Coat is ready.").waitFor();
    // The page of the old version still finds all its parts.
    await page.getByRole("link", { name: "Plan your first piece" }).click();
    await page.getByRole("heading", { name: "A new piece, from three facts" }).waitFor();
    await other.getByRole("button", { name: "Reload now" }).click();
    await other.getByRole("heading", { name: "Settings" }).waitFor();
    await page.getByText("A new version of Nook Coat is ready.").waitFor();
    await Promise.all([page.goto("about:blank"), other.goto("about:blank")]);
    await server.stop();
    allowComplaints(/Failed to load resource|ERR_/);
  });

  test("while plans are asked for by the hundred, pages are answered; what is too much is told to come again", async () => {
    const ask = (lengthMm: number, origin?: string) =>
      fetch(`${URL_BASE}/api/plan`, {
        method: "POST",
        body: JSON.stringify({
          format: "nook-coat/piece",
          version: 1,
          name: "Tray",
          material: "wood-hardwood",
          form: { kind: "box", lengthMm, widthMm: 280, heightMm: 45 },
          uses: ["serving-tray"],
        }),
        ...(origin ? { headers: { Origin: origin } } : {}),
      });
    let answered = 0;
    const asked = Array.from({ length: 100 }, (_unused, at) => ask(300 + at).finally(() => (answered += 1)));
    // The first that is told to come again: by then the queue is full, and most of it still to be worked out.
    const refused = await Promise.any(asked.map(async (one) => ((await one).status === 503 ? one : Promise.reject(new Error("answered")))));
    expect(refused.headers.get("retry-after")).toBe("5");
    expect((await fetch(`${URL_BASE}/settings`)).status).toBe(200);
    expect(answered).toBeLessThan(100);
    const all = await Promise.all(asked);
    expect(all.filter((one) => one.status === 200).length).toBeGreaterThanOrEqual(30);
    expect((await ask(400, "http://elsewhere.example")).status).toBe(403);
    expect((await fetch(`${URL_BASE}/settings`, { method: "DELETE" })).status).toBe(405);
  });
});
