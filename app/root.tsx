import { isRouteErrorResponse, Link, Links, Meta, Outlet, Scripts, ScrollRestoration, useRouteLoaderData } from "react-router";
import type { ReactNode } from "react";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { menuOf } from "#core/catalogue/menu";
import { Shell } from "~/components/shell";
import { useServiceWorker } from "~/components/use-service-worker";
import { AppContextProvider } from "~/components/app-context";
import type { Route } from "./+types/root";
import "./styles/app.css";

export function loader() {
  return { menu: menuOf(CATALOGUE), demo: process.env.NOOK_COAT_DEMO === "1" };
}

/** The catalogue does not change while a page is open. */
export const shouldRevalidate = () => false;

export const links: Route.LinksFunction = () => [
  { rel: "icon", type: "image/svg+xml", href: "/favicon.svg" },
  { rel: "manifest", href: "/manifest.webmanifest" },
];

export function Layout({ children }: { children: ReactNode }) {
  const demo = (useRouteLoaderData("root") as { demo?: boolean } | undefined)?.demo;
  return (
    <html lang="en" data-demo={demo ? "" : undefined} suppressHydrationWarning>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <meta name="theme-color" content="#faf7f0" />
        <script src="/theme.js" />
        <Meta />
        <Links />
      </head>
      <body className="min-h-dvh">
        {children}
        <ScrollRestoration />
        <Scripts />
      </body>
    </html>
  );
}

export default function Root() {
  useServiceWorker();
  return (
    <AppContextProvider>
      <Shell>
        <Outlet />
      </Shell>
    </AppContextProvider>
  );
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  const said = isRouteErrorResponse(error) ? String(error.data) : error instanceof Error ? error.message : "something unexpected happened";
  return (
    <main id="page" className="mx-auto max-w-prose px-4 py-8">
      <title>Something went wrong – Nook Coat</title>
      <h1 className="text-3xl">That did not work</h1>
      <p className="mt-3">Nothing you had saved is lost. What the page said: {said}.</p>
      <p className="mt-4">
        <Link to="/" className="button">
          Back to your pieces
        </Link>
      </p>
    </main>
  );
}
