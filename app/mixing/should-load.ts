import type { ShouldRevalidateFunctionArgs } from "react-router";

/** What lies on the desk is the desk's own: another look of it, or another paint on it, loads nothing anew. */
export function notForAnotherLook({ currentUrl, nextUrl, formMethod, defaultShouldRevalidate }: ShouldRevalidateFunctionArgs): boolean {
  const onlyLook = formMethod === undefined && currentUrl.pathname === nextUrl.pathname && currentUrl.search !== nextUrl.search;
  return !onlyLook && defaultShouldRevalidate;
}
