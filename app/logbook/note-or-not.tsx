/** The foot of a form that notes something: what is not ready cannot be noted, and nothing need be. */
export function NoteOrNot({ ready = true, leave }: { ready?: boolean; leave: () => void }) {
  return (
    <p className="flex flex-wrap gap-2">
      <button type="submit" className="button button-act" disabled={!ready}>
        Note it
      </button>
      <button type="button" className="button" onClick={leave}>
        Not now
      </button>
    </p>
  );
}
