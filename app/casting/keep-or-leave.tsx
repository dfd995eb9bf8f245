/** The foot of a form that is kept by a button or left: what is missing is said over it. */
export function KeepOrLeave({ keep, nameless, leave }: { keep: string; nameless: boolean; leave: () => void }) {
  return (
    <>
      {nameless && (
        <p role="alert" className="text-stop">
          Give it a name, so that you find it again.
        </p>
      )}
      <p className="flex flex-wrap gap-2">
        <button type="submit" className="button button-act">
          {keep}
        </button>
        <button type="button" className="button" onClick={leave}>
          Leave it
        </button>
      </p>
    </>
  );
}
