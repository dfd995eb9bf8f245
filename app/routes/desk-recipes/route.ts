import type { Route } from "./+types/route";

/** Recipes for a colour, asked for while it is dragged: a newer question leaves the older one. */
export async function clientLoader({ request }: Route.ClientLoaderArgs) {
  const { recipesAsked } = await import("~/mixing/desk-loaded.client");
  return recipesAsked(new URL(request.url).searchParams, request.signal);
}
