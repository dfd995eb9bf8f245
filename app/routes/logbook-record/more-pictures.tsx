import { useFetcher } from "react-router";
import { Camera, ImagePlus } from "lucide-react";
import { FileButton } from "~/components/file-button";
import type { PhotosOutcome } from "~/photos/photo-ask";

const KINDS = "image/*";

/** Photographs that come to a record afterwards: taken, or picked. */
export function MorePictures({ record, some }: { record: string; some: boolean }) {
  const fetcher = useFetcher<PhotosOutcome>({ key: `record-photographs-${record}` });
  const take = (files: readonly File[]) => {
    if (files.length === 0) return;
    void import("~/actions/handed.client").then(({ handOver }) =>
      fetcher.submit({ intent: "add", files: handOver(files) }, { method: "post", action: `/logbook/records/${record}`, encType: "application/json" }),
    );
  };
  const outcome = fetcher.state === "idle" ? fetcher.data : undefined;
  const wrong = outcome?.kind === "failed" ? outcome.why : outcome?.notTaken[0] && `${outcome.notTaken[0].name}: ${outcome.notTaken[0].why}`;
  return (
    <div className="flex flex-wrap items-center gap-2 print:hidden">
      <span className="hidden pointer-coarse:inline">
        <FileButton icon={Camera} label="Take a photograph" accept={KINDS} capture take={(_one, all) => take(all)}>
          Take one
        </FileButton>
      </span>
      <FileButton icon={ImagePlus} label="Pick photographs" accept={KINDS} many take={(_one, all) => take(all)}>
        {some ? "Add photographs" : "Add a photograph"}
      </FileButton>
      {fetcher.state !== "idle" && <span role="status">Shrinking and keeping them…</span>}
      {wrong && (
        <span role="alert" className="text-stop [overflow-wrap:anywhere]">
          Not added: {wrong}.
        </span>
      )}
    </div>
  );
}
