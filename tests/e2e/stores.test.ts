/** A browser that keeps nothing, forgets what it kept, or lets an older tab keep the notebook shut. */
import { expect, test } from "@jest/globals";
import { allowComplaints, allSaved, newNotebook, open, plan, planReady, URL_BASE, watchEveryPage } from "./bench";

watchEveryPage();

const MUG = { material: "Glazed ceramic", uses: ["On show indoors"] };

test("a browser that keeps nothing says so, the choices stand, and once it keeps things they are kept", async () => {
  const { page } = await newNotebook();
  await page.addInitScript(() => {
    const opening = IDBFactory.prototype.open;
    IDBFactory.prototype.open = function (...args) {
      if (!(window as unknown as { kept?: boolean }).kept) throw new DOMException("no storage here", "SecurityError");
      return opening.apply(this, args);
    };
  });
  await open(page, "/pieces");
  await page.getByRole("alert").getByText("Your notebook does not open in this browser").waitFor();
  await open(page, "/settings");
  await page.getByRole("alert").getByText("Your notebook does not open in this browser").waitFor();
  await open(page, "/pieces/new");
  await page.getByRole("radio", { name: MUG.material }).click();
  await page.getByLabel(MUG.uses[0]!, { exact: true }).check();
  await page.getByRole("button", { name: "Make the coat plan" }).click();
  await page.getByRole("alert").getByText("This piece could not be kept").waitFor();
  await page.evaluate(() => ((window as unknown as { kept: boolean }).kept = true));
  await page.getByRole("button", { name: "Make the coat plan" }).click();
  await page.waitForURL(/\/pieces\/[0-9a-z]{16}/);
  await planReady(page);
  allowComplaints(/no storage here/);
});

test("a browser that forgets what it kept: it is told, the piece on the screen is put back, and what is typed then is kept", async () => {
  const { context, page } = await newNotebook();
  await plan(page, MUG);
  await allSaved(page);
  const device = await context.newCDPSession(page);
  await device.send("Storage.clearDataForOrigin", { origin: URL_BASE, storageTypes: "indexeddb" });
  await page.getByLabel("Name of the piece").fill("Typed after");
  await page.getByLabel("Name of the piece").press("Enter");
  await page.getByRole("alert").getByText("The browser has cleared this notebook.").waitFor();
  await allSaved(page);
  await page.reload();
  await planReady(page);
  expect(await page.getByLabel("Name of the piece").inputValue()).toBe("Typed after");
});

test("an older tab keeps the notebook shut: this one says so, waits, and goes on by itself", async () => {
  const { context, page } = await newNotebook();
  await page.goto(`${URL_BASE}/favicon.svg`);
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const opening = indexedDB.open("nook-coat", 1);
        opening.onsuccess = () => {
          (window as unknown as { held: IDBDatabase }).held = opening.result;
          resolve();
        };
      }),
  );
  const other = await context.newPage();
  await other.goto(`${URL_BASE}/`);
  await other.getByRole("alert").getByText("Another tab has an older Nook Coat open").waitFor();
  await page.evaluate(() => (window as unknown as { held: IDBDatabase }).held.close());
  await other.getByRole("heading", { name: "What have you got in your hand?" }).waitFor();
});
