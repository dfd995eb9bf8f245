import { AlertDialog } from "radix-ui";
import { useEffect, useSyncExternalStore } from "react";
import { useFetcher } from "react-router";
import { format } from "date-fns";
import { Download, Trash2, Upload } from "lucide-react";
import { CHANGES_BEFORE_ADVICE } from "~/components/backup-advice";
import { sayCounts } from "~/components/difference-words";
import { download } from "~/components/download";
import { FileButton } from "~/components/file-button";
import { importState, onImportState } from "./import-progress.client";
import type { BackupState, RoomLeft } from "~/store/backup.client";
import type { FilesAsk, Outcome } from "./files-commands.client";

/** Records by name, and why they were left out. */
function AsideList({ aside }: { aside: readonly string[] }) {
  return (
    <ul className="ml-5 list-disc">
      {aside.slice(0, MOST_NAMED).map((one, index) => (
        <li key={index}>{one}</li>
      ))}
      {aside.length > MOST_NAMED && <li>and {aside.length - MOST_NAMED} more</li>}
    </ul>
  );
}

function Imported({ outcome }: { outcome: Extract<Outcome, { kind: "imported" }> }) {
  const { counts, aside, asideFile, altered } = outcome;
  const told = (what: string, of: Readonly<Record<string, number>>) => (sayCounts(of) === "" ? [] : [`${sayCounts(of)} ${what}`]);
  const came = [...told("brought in", counts.added), ...told("brought up to date", counts.changed), ...told("taken away there, and so here", counts.removed)];
  return (
    <>
      <p>
        {came.length === 0 ? "Nothing in it is new here" : came.join("; ")}
        {sayCounts(counts.same) !== "" && `; ${sayCounts(counts.same)} already here`}
        {sayCounts(counts.older) !== "" && `; ${sayCounts(counts.older)} changed here since, and left as here`}.
      </p>
      {counts.differences > 0 && (
        <p className="mt-2 font-bold">
          {counts.differences === 1 ? "One place differs" : `${counts.differences} places differ`}:{" "}
          <a href="#differences" className="underline">
            choose
          </a>
          .
        </p>
      )}
      {came.length > 0 && <p className="mt-2">Taking it back (Ctrl Z) gives the notebook as it was before, after a reload too.</p>}
      {altered && <p>This file was changed after Nook Coat wrote it.</p>}
      {aside.length > 0 && (
        <>
          <p className="mt-2 font-bold">
            {aside.length === 1 ? "One thing in it is damaged and was" : `${aside.length} things in it are damaged and were`} set aside:
          </p>
          <AsideList aside={aside} />
          {asideFile && (
            <button type="button" className="button mt-2" onClick={() => download(asideFile)}>
              <Download aria-hidden size={20} /> Save what was set aside
            </button>
          )}
        </>
      )}
    </>
  );
}

function Said({ outcome }: { outcome: Outcome }) {
  const tone = outcome.kind === "problem" || outcome.kind === "failed" ? "bg-stop-tint text-stop" : "bg-note-tint text-ink";
  return (
    <div role="status" className={`mt-3 rounded-lg p-3 [overflow-wrap:anywhere] ${tone}`}>
      {outcome.kind === "imported" && <Imported outcome={outcome} />}
      {outcome.kind === "file" && (
        <>
          <p>Saved as {outcome.name}, in the place your browser saves files to.</p>
          {outcome.aside.length > 0 && (
            <>
              <p className="mt-2">What is damaged in this notebook is in the file too, set aside:</p>
              <AsideList aside={outcome.aside} />
            </>
          )}
        </>
      )}
      {outcome.kind === "wiped" && (
        <p>
          {outcome.pieces === 1 ? "One piece is" : `${outcome.pieces} pieces are`} removed, with plans, rooms and settings: the notebook is empty now. Until
          much else has been done, taking it back (Ctrl Z) brings everything again, after a reload too.
        </p>
      )}
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
      {outcome.kind === "failed" && <p className="font-bold">It could not be done, and nothing of yours was changed: {outcome.message}.</p>}
    </div>
  );
}

const MEGABYTE = 1e6;
const GIGABYTE = 1e9;

function sayBytes(bytes: number): string {
  return bytes >= GIGABYTE ? `${Math.round(bytes / GIGABYTE)} GB` : `${Math.max(1, Math.round(bytes / MEGABYTE))} MB`;
}

/** How far a file has come in, and a way to stop it. */
function Progress() {
  const state = useSyncExternalStore(onImportState ?? NEVER, importState ?? (() => null), () => null);
  if (!state) return null;
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      <label className="grow">
        <span className="block">{state.of === 0 ? "Reading the file…" : `${state.done} of ${state.of} written`}</span>
        <progress className="w-full" {...(state.of === 0 ? {} : { value: state.done, max: state.of })} />
      </label>
      <button type="button" className="button" onClick={state.stop}>
        Stop
      </button>
    </div>
  );
}

const NEVER = () => () => undefined;
const MOST_NAMED = 12;

/** Saving, bringing in, emptying. */
export function Files({ pieces, photos, backup, room }: { pieces: number; photos: number; backup: BackupState; room: RoomLeft | null }) {
  const fetcher = useFetcher<Outcome>({ key: "files" });
  const ask = (asked: FilesAsk) => void fetcher.submit(asked as never, { method: "post", action: "/settings", encType: "application/json" });
  const outcome = fetcher.data ?? null;
  useEffect(() => {
    if (outcome?.kind === "file") download(outcome);
  }, [outcome]);
  return (
    <>
      <p className="mb-2">
        Your notebook lives in this browser, on this device: {pieces === 0 ? "no pieces yet" : pieces === 1 ? "one piece" : `${pieces} pieces`}
        {photos > 0 && (photos === 1 ? " and one photograph" : ` and ${photos} photographs`)}. A file keeps it safe, and carries it to another; a file brought
        in is put together with what is here: what was done on either side is there afterwards, and where the two say different things you choose.
      </p>
      <p className={`mb-2 ${backup.changes >= CHANGES_BEFORE_ADVICE ? "font-semibold" : "text-soft"}`}>
        {backup.at === null ? "Not saved to a file from here yet" : `Last saved to a file on ${format(backup.at, "d MMMM yyyy")}`}
        {backup.at !== null && backup.changes > 0 && `; ${backup.changes} ${backup.changes === 1 ? "change" : "changes"} since`}.
        {room && ` It takes ${sayBytes(room.used)} of ${sayBytes(room.most)} here${room.kept ? ", and the browser keeps it for good" : ""}.`}
      </p>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="button button-act" onClick={() => ask({ intent: "export", photographs: true })}>
          <Download aria-hidden size={20} /> Save the notebook
        </button>
        {photos > 0 && (
          <button type="button" className="button" onClick={() => ask({ intent: "export", photographs: false })}>
            <Download aria-hidden size={20} /> Save it without photographs
          </button>
        )}
        <FileButton
          icon={Upload}
          label="Notebook file"
          accept=".json,.zip,application/json,application/zip"
          take={(file) => void import("~/actions/handed.client").then(({ handOver }) => ask({ intent: "import", file: handOver([file]) }))}
        >
          Bring a file in
        </FileButton>
        <AlertDialog.Root>
          <AlertDialog.Trigger className="button">
            <Trash2 aria-hidden size={20} /> Empty the notebook
          </AlertDialog.Trigger>
          <AlertDialog.Portal>
            <AlertDialog.Overlay className="fixed inset-0 z-20 bg-black/50" />
            <AlertDialog.Content className="note fixed left-1/2 top-1/2 z-20 max-h-[92dvh] w-[min(92vw,30rem)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto p-5">
              <AlertDialog.Title className="text-2xl">Empty the notebook?</AlertDialog.Title>
              <AlertDialog.Description className="mt-2">
                {pieces === 0
                  ? "Your settings, rooms and hours"
                  : pieces === 1
                    ? "Your piece, its plan, and your settings"
                    : `All ${pieces} pieces, their plans, and your settings`}{" "}
                are removed. They can be taken back for a while; a file keeps them for good.
              </AlertDialog.Description>
              <div className="mt-4 flex flex-wrap gap-2">
                <button type="button" className="button" onClick={() => ask({ intent: "export", photographs: true })}>
                  Save to a file first
                </button>
                <AlertDialog.Action className="button button-act" onClick={() => ask({ intent: "wipe" })}>
                  Empty it
                </AlertDialog.Action>
                <AlertDialog.Cancel className="button">Leave it</AlertDialog.Cancel>
              </div>
            </AlertDialog.Content>
          </AlertDialog.Portal>
        </AlertDialog.Root>
      </div>
      <Progress />
      {fetcher.state === "submitting" && <p role="status">One moment…</p>}
      {outcome && fetcher.state !== "submitting" && <Said outcome={outcome} />}
    </>
  );
}
