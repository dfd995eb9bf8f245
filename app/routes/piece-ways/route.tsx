import { useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { pieceId, recipeId } from "#core/catalogue/ids";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { readSequence } from "#core/coating/model/read-sequence";
import { dateOf } from "#core/schedule/free-hours";
import type { Candidate } from "#core/coating/model/plan";
import { recipeOf } from "#core/coating/planner/recipe-of";
import { perform } from "~/actions/perform";
import { useAsk } from "~/actions/use-ask";
import { Awaited, useLast } from "~/components/awaited";
import { RoomError } from "~/components/room-error";
import { timeZoneHere } from "~/components/time-zone";
import { useMenu } from "~/components/use-menu";
import { followedAs } from "~/piece/followed";
import { keptPiece, planOf } from "~/piece/kept-piece";
import { freshId } from "~/store/fresh-id";
import type { WaysView } from "~/workers/plan-worker-api";
import type { Route } from "./+types/route";
import { Candidates } from "./candidates";
import { CheckMine } from "./check-mine";
import { OwnWays } from "./own-ways";
import { WAYS_FIELDS } from "./ways-asks";
import type { WaysAsk } from "./ways-asks";

export async function clientLoader({ params, request }: Route.ClientLoaderArgs) {
  const [kept, planner, { database }, { recipesIn }, { shelfIn }] = await Promise.all([
    keptPiece(params.id),
    import("~/workers/planner.client"),
    import("~/store/open.client"),
    import("~/store/recipes"),
    import("~/store/shelf"),
  ]);
  const of = planOf(kept);
  const db = await database();
  const [recipes, jars] = await Promise.all([recipesIn(db), shelfIn(db)]);
  const text = new URL(request.url).searchParams.get("mine") ?? "";
  const read = readSequence(text, dateOf(Date.now(), timeZoneHere()), CATALOGUE, jars);
  return {
    kept,
    recipes,
    ways: planner.waysView(params.id, of),
    own: planner.recipesView(params.id, of, recipes),
    mine: { text, read, checked: planner.mineView(params.id, of, read.steps) },
  };
}
clientLoader.hydrate = true as const;

export async function clientAction({ request, params }: Route.ClientActionArgs) {
  const [{ database }, { planFor }, { markDays }, recipes] = await Promise.all([
    import("~/store/open.client"),
    import("~/store/plans"),
    import("~/store/progress"),
    import("~/store/recipes"),
  ]);
  const [db, id] = [await database(), pieceId(params.id)];
  return perform<WaysAsk, null>(request, WAYS_FIELDS, {
    follow: async ({ followed }, by) => (await planFor(db, id, followed, by), null),
    "follow-own": async ({ followed, edits }, by) => (await recipes.followWith(db, id, followed, edits, by), null),
    "on-it": async ({ followed, days }, by) => (await markDays(db, id, followed, days, by), null),
    keep: async ({ id: of, recipe }, by) => (await recipes.keepRecipe(db, recipe, recipeId(of), by), null),
    rename: async ({ id: of, name }, by) => (await recipes.renameRecipe(db, recipeId(of), name, by), null),
    "let-go": async ({ id: of, name }, by) => (await recipes.removeRecipe(db, recipeId(of), name, by), null),
  });
}

/** The ways to do it, from where the work stands; any two side by side; and the user's own. */
export default function WaysRoom({ loaderData }: Route.ComponentProps) {
  return (
    <section aria-label="Ways to do it">
      <Awaited of={loaderData.ways} waiting={<p role="status">Looking for other ways…</p>}>
        {(view, busy) => (
          <div aria-busy={busy}>
            <Ways view={view} loaded={loaderData} />
          </div>
        )}
      </Awaited>
    </section>
  );
}

export function ErrorBoundary() {
  return <RoomError />;
}

function Ways({ view, loaded }: { view: WaysView; loaded: Route.ComponentProps["loaderData"] }) {
  const menu = useMenu();
  const navigate = useNavigate();
  const { kept, recipes, own, mine } = loaded;
  const [, setSearch] = useSearchParams();
  const { record } = kept;
  const { piece } = record;
  const ask = useAsk<WaysAsk>(`/pieces/${record.id}/ways`);
  const applied = useLast(own);
  const [refused, setRefused] = useState<string | null>(null);
  const { candidates, basis, yours } = view;
  if (!yours) return <p>This piece has no plan yet; its plan says why.</p>;
  const followed = (one: Candidate) => followedAs(one, basis, piece);
  const takeIn = async (file: File) => {
    const { readRecipe } = await import("#core/formats/recipe-file");
    const read = readRecipe(await file.text(), CATALOGUE);
    setRefused(read.ok ? null : `${read.problem.message}${read.problem.path === "" ? "" : ` (${read.problem.path})`}`);
    if (read.ok) ask({ intent: "keep", id: freshId(), recipe: read.value });
  };
  const known = candidates.some((one) => one.id === yours.id);
  return (
    <>
      {basis !== null && <p className="mb-3">Each goes on from what is on the piece already.</p>}
      <Candidates
        candidates={known ? candidates : [yours, ...candidates]}
        shown={yours}
        menu={menu}
        material={piece.material}
        choose={(one) => void ask({ intent: "follow", followed: followed(one) })}
      />
      <OwnWays
        recipes={recipes}
        applied={new Map(applied?.map((one) => [one.id, one.applied]))}
        yours={yours}
        menu={menu}
        material={piece.material}
        keep={(name) => void ask({ intent: "keep", id: freshId(), recipe: recipeOf(yours, piece, name, CATALOGUE) })}
        follow={({ on, edits }) => {
          ask({ intent: "follow-own", followed: followed(on), edits });
          void navigate(`/pieces/${record.id}`);
        }}
        rename={(id, name) => void ask({ intent: "rename", id, name }, { about: `way/${id}` })}
        remove={({ id, name }) => void ask({ intent: "let-go", id, name })}
        takeIn={(file) => void takeIn(file)}
        refused={refused}
      />
      <CheckMine
        text={mine.text}
        read={mine.read}
        checked={mine.checked}
        menu={menu}
        check={(text) => setSearch(text === "" ? {} : { mine: text }, { replace: true, preventScrollReset: true })}
        plan={({ on, edits }) => {
          ask({ intent: "follow-own", followed: followed(on), edits });
          void navigate(`/pieces/${record.id}`);
        }}
        onIt={({ on, done }) => {
          const days = done.map(({ day, coats }) => ({ at: day === null ? new Date().toISOString() : new Date(`${day}T12:00`).toISOString(), coats }));
          ask({ intent: "on-it", followed: followed(on), days });
          void navigate(`/pieces/${record.id}`);
        }}
      />
    </>
  );
}
