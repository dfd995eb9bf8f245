import { nameIn } from "#core/coating/explain/step-title";
import { useRouteLoaderData } from "react-router";
import type { Menu } from "#core/catalogue/menu";

/** The catalogue as the server gave it: names and choices. */
export function useMenu(): Menu {
  const data = useRouteLoaderData("root") as { menu: Menu } | undefined;
  if (!data) throw new Error("the page came without its catalogue; reload it");
  return data.menu;
}

export { nameIn };
/** Whether a paint is carried in water: then it is loosened with water and what goes with it. */
export function isWaterborne(menu: Menu, product: string): boolean {
  return menu.products.find((one) => one.id === product)?.waterborne ?? false;
}
