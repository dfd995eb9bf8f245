import { useContext, useMemo, useState } from "react";
import type { ContextType, ReactNode } from "react";
import { UNSAFE_DataRouterStateContext as RouterState } from "react-router";

type State = NonNullable<ContextType<typeof RouterState>>;

/** Routes that are shown, and whose data is gone though it was there. */
function bereft({ matches, loaderData }: State, last: State["loaderData"]): boolean {
  return matches.some(({ route }) => loaderData[route.id] === undefined && last[route.id] !== undefined);
}

/**
 * A room keeps what it was loaded with until the next one is there.
 *
 * Where something is asked for on the way to another page, and the hand then turns to a third, the router takes the loaded data of the second for all there is
 * while the first is still shown: for a moment it has none, and fails. So what was there last goes on being there.
 */
export function Steady({ children }: { children: ReactNode }) {
  const state = useContext(RouterState)!;
  const [last, setLast] = useState(state.loaderData);
  const isBereft = bereft(state, last);
  if (!isBereft && last !== state.loaderData) setLast(state.loaderData);
  const steady = useMemo(() => (isBereft ? { ...state, loaderData: { ...last, ...state.loaderData } } : state), [isBereft, last, state]);
  return <RouterState.Provider value={steady}>{children}</RouterState.Provider>;
}
