export default async function tearDown() {
  await globalThis.nookCoat?.browser.close();
  await globalThis.nookCoat?.server.close();
}
