import type Joi from "joi";
import { data } from "react-router";
import type { Problem } from "#core/formats/problem";
import type { JoiRoot } from "#core/formats/stores/definition";

/** What is asked of an action: one of several intents, each with its own fields. */
export interface Ask {
  readonly intent: string;
}

type Fields = Readonly<Record<string, Joi.Schema>>;
/** For each intent the schema of its fields. */
export type Intents<A extends Ask> = { readonly [I in A["intent"]]: (joi: JoiRoot) => Fields };
type Doing<A extends Ask, Answer> = { readonly [I in A["intent"]]: (ask: Extract<A, { readonly intent: I }>) => Promise<Answer> };

const running = new Set<Promise<unknown>>();

/** Waits for every action asked before; what it writes is written then. */
export async function earlierActions(): Promise<void> {
  await Promise.allSettled([...running]);
}

function refuse(problem: Problem): never {
  throw data(`this page asked for something it may not ask: ${problem.message}${problem.path === "" ? "" : ` (at ${problem.path})`}`, { status: 400 });
}

async function performed<A extends Ask, Answer>(request: Request, intents: Intents<A>, doing: Doing<A, Answer>): Promise<Answer> {
  const [{ default: joi }, { checkShape }, ask] = await Promise.all([import("joi"), import("#core/formats/check-shape"), request.json() as Promise<A>]);
  const intent = ask.intent as A["intent"];
  const fields = Object.hasOwn(intents, intent) ? intents[intent] : null;
  if (!fields) refuse({ code: "bad-verb", path: "intent", message: `say one of: ${Object.keys(intents).join(", ")}` });
  const checked = checkShape<A>(joi.object({ intent: joi.string().required(), ...fields(joi) }), ask);
  if (!checked.ok) refuse(checked.problem);
  return doing[intent](ask as Extract<A, { readonly intent: A["intent"] }>);
}

/**
 * Runs a route's action: its input is JSON with an intent, checked against that intent's schema before anything is done.
 *
 * @param intents the schema of each intent's fields
 * @param doing what each intent does
 * @throws a 400 answer when the input does not fit
 */
export function perform<A extends Ask, Answer>(request: Request, intents: Intents<A>, doing: Doing<A, Answer>): Promise<Answer> {
  const work = performed(request, intents, doing);
  const settled = work.catch(() => undefined);
  running.add(settled);
  void settled.then(() => running.delete(settled));
  return work;
}
