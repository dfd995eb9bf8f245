import { AlertDialog } from "radix-ui";
import { useRef } from "react";
import { useFetcher } from "react-router";
import { Download, Trash2, Upload } from "lucide-react";
import { CATALOGUE } from "#core/catalogue/catalogue";
import type { Problem } from "#core/formats/problem";
import { exportAll, importBundle, wipeAll } from "~/store/bundles";
import type { Imported } from "~/store/bundles";
import type { Route } from "./+types/route";

type Outcome = { kind: "imported"; counts: Imported } | { kind: "problem"; problem: Problem } | { kind: "failed"; message: string } | { kind: "wiped" };

export async function clientLoader() {
  const { notebook } = await import("~/store/open.client");
  return { pieces: await (await notebook()).count("pieces") };
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Opening your notebook…</p>;
}

export async function clientAction({ request }: Route.ClientActionArgs): Promise<Outcome> {
  const { intent, text } = (await request.json()) as { intent: "import" | "wipe"; text?: string };
  const { notebook, announceChange } = await import("~/store/open.client");
  const db = await notebook();
  if (intent === "wipe") {
    await wipeAll(db);
    announceChange();
    return { kind: "wiped" };
  }
  const { readBundle } = await import("#core/formats/bundle");
  const bundle = readBundle(text ?? "", CATALOGUE);
  if (!bundle.ok) return { kind: "problem", problem: bundle.problem };
  try {
    const counts = await importBundle(db, bundle.value);
    announceChange();
    return { kind: "imported", counts };
  } catch (error) {
    return { kind: "failed", message: error instanceof Error ? error.message : "the browser could not write" };
  }
}

async function saveFile(): Promise<void> {
  const { notebook } = await import("~/store/open.client");
  const bundle = await exportAll(await notebook());
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([`${JSON.stringify(bundle, null, 2)}\n`], { type: "application/json" }));
  link.download = `nook-coat-${new Date().toISOString().slice(0, 10)}.json`;
  link.click();
  URL.revokeObjectURL(link.href);
}

function Said({ outcome }: { outcome: Outcome }) {
  const tone = outcome.kind === "problem" || outcome.kind === "failed" ? "bg-stop-tint text-stop" : "bg-note-tint text-ink";
  return (
    <div role="status" className={`mt-4 rounded-lg p-3 ${tone}`}>
      {outcome.kind === "imported" && (
        <p>
          {outcome.counts.added} {outcome.counts.added === 1 ? "piece" : "pieces"} brought in
          {outcome.counts.same > 0 && `, ${outcome.counts.same} already here`}
          {outcome.counts.beside > 0 && `, ${outcome.counts.beside} put beside your own, which had changed since`}.
        </p>
      )}
      {outcome.kind === "wiped" && <p>The notebook is empty now.</p>}
      {outcome.kind === "problem" && (
        <>
          <p className="font-bold">This file was not taken, and nothing of yours was changed.</p>
          <p>
            {outcome.problem.message}
            {outcome.problem.path !== "" && (
              <>
                {" "}
                (at <code>{outcome.problem.path}</code>)
              </>
            )}
            .
          </p>
        </>
      )}
      {outcome.kind === "failed" && <p className="font-bold">It could not be written, and nothing of yours was changed: {outcome.message}.</p>}
    </div>
  );
}

export default function Keep({ loaderData }: Route.ComponentProps) {
  const fetcher = useFetcher<Outcome>();
  const picker = useRef<HTMLInputElement>(null);
  const send = (body: { intent: "import" | "wipe"; text?: string }) => void fetcher.submit(body, { method: "post", encType: "application/json" });
  const { pieces } = loaderData;
  return (
    <div className="max-w-3xl">
      <title>Save & restore – Nook Coat</title>
      <h1 className="text-3xl">Save & restore</h1>
      <p className="mt-2">
        Your notebook lives in this browser, on this device: {pieces === 0 ? "no pieces yet" : pieces === 1 ? "one piece" : `${pieces} pieces`}. A file keeps it
        safe, and carries it to another.
      </p>
      <div className="mt-5 grid gap-4 sm:grid-cols-2">
        <section className="rounded-xl border-2 border-line bg-sheet p-4">
          <h2 className="text-xl">Save to a file</h2>
          <p className="my-2">Every piece and its plan, in one file.</p>
          <button type="button" className="button button-act" onClick={() => void saveFile()}>
            <Download aria-hidden size={20} /> Save the notebook
          </button>
        </section>
        <section className="rounded-xl border-2 border-line bg-sheet p-4">
          <h2 className="text-xl">Bring a file in</h2>
          <p className="my-2">It is added to what is here; nothing here is overwritten.</p>
          <input
            ref={picker}
            type="file"
            accept=".json,application/json"
            className="sr-only"
            tabIndex={-1}
            aria-label="Notebook file"
            onChange={(event) => {
              const [file] = event.target.files ?? [];
              event.target.value = "";
              if (file) void file.text().then((text) => send({ intent: "import", text }));
            }}
          />
          <button type="button" className="button" onClick={() => picker.current?.click()}>
            <Upload aria-hidden size={20} /> Choose a file
          </button>
        </section>
      </div>
      {fetcher.data && <Said outcome={fetcher.data} />}
      <section className="mt-8 border-t-2 border-line pt-4">
        <h2 className="text-xl">Start over</h2>
        <AlertDialog.Root>
          <AlertDialog.Trigger className="button mt-2" disabled={pieces === 0}>
            <Trash2 aria-hidden size={20} /> Empty the notebook
          </AlertDialog.Trigger>
          <AlertDialog.Portal>
            <AlertDialog.Overlay className="fixed inset-0 bg-black/50" />
            <AlertDialog.Content className="fixed left-1/2 top-1/2 w-[min(92vw,30rem)] -translate-x-1/2 -translate-y-1/2 rounded-xl border-2 border-ink bg-sheet p-5">
              <AlertDialog.Title className="font-display text-2xl">Empty the notebook?</AlertDialog.Title>
              <AlertDialog.Description className="mt-2">
                {pieces === 1 ? "Your piece and its plan" : `All ${pieces} pieces and their plans`} go from this browser. Save them to a file first if you may
                want them again.
              </AlertDialog.Description>
              <div className="mt-4 flex flex-wrap gap-2">
                <button type="button" className="button" onClick={() => void saveFile()}>
                  Save to a file first
                </button>
                <AlertDialog.Action className="button button-act" onClick={() => send({ intent: "wipe" })}>
                  Empty it
                </AlertDialog.Action>
                <AlertDialog.Cancel className="button">Leave it</AlertDialog.Cancel>
              </div>
            </AlertDialog.Content>
          </AlertDialog.Portal>
        </AlertDialog.Root>
      </section>
    </div>
  );
}
