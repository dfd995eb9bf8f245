import { isRouteErrorResponse, Link, Links, Meta, NavLink, Outlet, Scripts, ScrollRestoration } from "react-router";
import type { ReactNode } from "react";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { menuOf } from "#core/catalogue/menu";
import type { Route } from "./+types/root";
import "./styles/app.css";

export function loader() {
  return { menu: menuOf(CATALOGUE) };
}

/** The catalogue does not change while a page is open. */
export const shouldRevalidate = () => false;

export const links: Route.LinksFunction = () => [{ rel: "icon", type: "image/svg+xml", href: "/favicon.svg" }];

const PLACES = [
  { to: "/", label: "Pieces" },
  { to: "/keep", label: "Save & restore" },
] as const;

export function Layout({ children }: { children: ReactNode }) {
  return (
    <html lang="en">
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <Meta />
        <Links />
      </head>
      <body className="min-h-dvh">
        <a href="#page" className="sr-only focus:not-sr-only focus:absolute focus:z-10 focus:bg-sheet focus:p-3">
          Skip to the page
        </a>
        <header className="border-b-2 border-ink bg-sheet print:hidden">
          <div className="mx-auto flex max-w-7xl flex-wrap items-center gap-x-8 gap-y-1 px-4 py-2">
            <Link to="/" className="font-display text-xl text-ink no-underline">
              Nook Coat
            </Link>
            <nav aria-label="Places" className="flex gap-1">
              {PLACES.map(({ to, label }) => (
                <NavLink
                  key={to}
                  to={to}
                  end
                  className="inline-flex min-h-[44px] items-center border-b-4 border-transparent px-3 text-ink no-underline aria-[current=page]:border-act aria-[current=page]:font-bold"
                >
                  {label}
                </NavLink>
              ))}
            </nav>
          </div>
        </header>
        <main id="page" tabIndex={-1} className="mx-auto max-w-7xl px-4 py-5 outline-none">
          {children}
        </main>
        <ScrollRestoration />
        <Scripts />
      </body>
    </html>
  );
}

export default function Root() {
  return <Outlet />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  const said = isRouteErrorResponse(error) ? String(error.data) : error instanceof Error ? error.message : "something unexpected happened";
  return (
    <section className="max-w-prose">
      <title>Something went wrong – Nook Coat</title>
      <h1 className="text-3xl">That did not work</h1>
      <p className="mt-3">Nothing you had saved is lost. What the page said: {said}.</p>
      <p className="mt-4">
        <Link to="/" className="button">
          Back to your pieces
        </Link>
      </p>
    </section>
  );
}
