import { useNavigate } from "react-router";
import { useAfter } from "~/actions/use-after";
import { freshId } from "~/store/fresh-id";
import type { LogbookAsk } from "./logbook-asks";

/**
 * Writes a piece down, and opens its record once it is written.
 *
 * @returns whether it is still waited for, and what writes a piece down
 */
export function useAfterWriting(ask: (ask: LogbookAsk) => string): readonly [boolean, (piece: string) => void] {
  const navigate = useNavigate();
  const [waiting, after] = useAfter();
  const write = (piece: string) => {
    const id = freshId();
    after(ask({ intent: "write-down", piece, id, at: new Date().toISOString() }), () => void navigate(`/logbook/records/${id}`));
  };
  return [waiting, write];
}
