import type Joi from "joi";
import { data } from "react-router";
import type { Problem } from "#core/formats/problem";
import type { JoiRoot } from "#core/formats/stores/definition";
import type { By } from "~/store/command";
import { FinalError, isFinal } from "~/store/final-error";

/** What is asked of an action: one of several intents, each with its own fields. */
export interface Ask {
  readonly intent: string;
}

/** Hears what became of an ask. */
export interface AskWatcher {
  readonly written: (key: string) => void;
  readonly failed: (key: string, why: string) => void;
  readonly refused: (key: string, why: string) => void;
}

type Fields = Readonly<Record<string, Joi.Schema>>;
/** For each intent the schema of its fields. */
export type Intents<A extends Ask> = { readonly [I in A["intent"]]: (joi: JoiRoot) => Fields };
type Doing<A extends Ask, Answer> = { readonly [I in A["intent"]]: (ask: Extract<A, { readonly intent: I }>, by: By) => Promise<Answer> };

/** The envelope an ask of a page comes in: its key, and what is typed with it. */
export interface Envelope {
  readonly askKey?: string;
  readonly askAbout?: string;
  /** A page that is gone has left it. */
  readonly askLeft?: boolean;
}

const running = new Set<Promise<unknown>>();
let watcher: AskWatcher | null = null;

/** From here on it is told what becomes of asks that have a key. */
export function watchAsks(next: AskWatcher): void {
  watcher = next;
}

/** Waits for every action asked before; what it writes is written then. */
export async function earlierActions(): Promise<void> {
  await Promise.allSettled([...running]);
}

class Refused extends FinalError {
  override readonly name = "Refused";
}

function refuse(problem: Problem): never {
  throw new Refused(`this page asked for something it may not ask: ${problem.message}${problem.path === "" ? "" : ` (at ${problem.path})`}`);
}

async function performed<A extends Ask, Answer>(ask: A, by: By, intents: Intents<A>, doing: Doing<A, Answer>): Promise<Answer> {
  const [{ default: joi }, { checkShape }] = await Promise.all([import("joi"), import("#core/formats/check-shape")]);
  const intent = ask.intent as A["intent"];
  const fields = Object.hasOwn(intents, intent) ? intents[intent] : null;
  if (!fields) refuse({ code: "bad-verb", path: "intent", message: `say one of: ${Object.keys(intents).join(", ")}` });
  const checked = checkShape<A>(joi.object({ intent: joi.string().required(), ...fields(joi) }), ask);
  if (!checked.ok) refuse(checked.problem);
  return doing[intent](ask as Extract<A, { readonly intent: A["intent"] }>, by);
}

const textOf = (error: unknown) => (error instanceof Error ? error.message || error.name : "the browser does not say why");

/** What is said of a failure: those of the browser's own store by what they mean. */
export function whyOf(error: unknown): string {
  const { name } = (error ?? {}) as { readonly name?: string };
  if (name === "QuotaExceededError") return "this device has no room left for it";
  if (name === "InvalidStateError" || name === "UnknownError" || name === "AbortError") return "the browser has closed the notebook for a moment";
  return textOf(error);
}

/** Tells the page what became of its ask, in place of an error that would take the page away. */
function settled(key: string, error: unknown): void {
  const { name = "" } = (error ?? {}) as { readonly name?: string };
  if (error === null || name === "DoneAlready") watcher?.written(key);
  else if (isFinal(error)) watcher?.refused(key, textOf(error));
  else watcher?.failed(key, whyOf(error));
}

/**
 * Runs a route's action: its input is JSON with an intent, checked against that intent's schema before anything is done. An ask that has a key is told of
 * to whoever watches, and never takes the page away; any other fails as an error.
 *
 * @param intents the schema of each intent's fields
 * @param doing what each intent does
 * @returns its answer; null where an ask with a key came to nothing
 * @throws a 400 answer when the input does not fit
 */
export async function perform<A extends Ask, Answer>(request: Request, intents: Intents<A>, doing: Doing<A, Answer>): Promise<Answer | null> {
  const { askKey, askAbout, askLeft, ...ask } = (await request.json()) as A & Envelope;
  const work = performed(ask as unknown as A, { ask: askKey, merge: askAbout, left: askLeft }, intents, doing);
  const quiet = work.catch(() => undefined);
  running.add(quiet);
  void quiet.then(() => running.delete(quiet));
  if (askKey === undefined)
    return work.catch((error: unknown) => {
      throw error instanceof Refused ? data(error.message, { status: 400 }) : error;
    });
  try {
    const answer = await work;
    settled(askKey, null);
    return answer;
  } catch (error) {
    settled(askKey, error);
    return null;
  }
}
