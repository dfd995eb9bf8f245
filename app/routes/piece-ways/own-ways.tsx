import { Download, Trash2, Upload } from "lucide-react";
import { alikeZones } from "#core/coating/explain/alike-zones";
import type { Candidate } from "#core/coating/model/plan";
import type { AppliedRecipe } from "#core/coating/planner/apply-recipe";
import { writeRecipe } from "#core/formats/recipe-file";
import { MAX_RECIPE_NAME } from "#core/formats/stores/recipes";
import type { RecipeRecord } from "#core/formats/stores/recipes";
import type { Menu } from "#core/catalogue/menu";
import { MiniSection } from "~/components/coat-section/mini-section";
import { download } from "~/components/download";
import { FileButton } from "~/components/file-button";
import { ToolButton } from "~/components/tool-button";
import { TypedBox } from "~/components/typed-box";
import { useTyped } from "~/components/use-typed";
import { zoneNames } from "~/components/words";
import { sayTrades } from "./say-trades";
import { useDraft } from "~/components/use-draft";

interface Props {
  readonly recipes: readonly RecipeRecord[];
  /** How each comes out on this piece, by id. */
  readonly applied: ReadonlyMap<string, AppliedRecipe>;
  readonly yours: Candidate;
  readonly menu: Menu;
  readonly material: string;
  readonly keep: (name: string) => void;
  readonly follow: (applied: AppliedRecipe) => void;
  readonly rename: (id: string, name: string) => void;
  readonly remove: (recipe: RecipeRecord) => void;
  readonly takeIn: (file: File) => void;
  /** What was wrong with a file; null where nothing was. */
  readonly refused: string | null;
}

const MOST_FAULTS = 3;

/** What a way of working comes to on this piece: what it trades, what it has no place for, what is wrong with it here. */
function OnThisPiece({ applied: { plan, without }, yours }: { applied: AppliedRecipe; yours: Candidate }) {
  const isHereToo = (code: string) => yours.findings.some((one) => one.code === code);
  const faults = plan.findings.filter(({ severity, code }) => (severity === "stop" || severity === "warn") && !isHereToo(code));
  const trades = sayTrades(plan, yours);
  return (
    <>
      {trades !== "" && <p className="text-ready">Against yours: {trades}.</p>}
      {without.length > 0 && <p>There is no such place here: {zoneNames(without).toLowerCase()}.</p>}
      {faults.slice(0, MOST_FAULTS).map(({ code, zone, message, why }) => (
        <p key={`${code}-${zone}`}>
          <strong>{message}</strong>: {why}.
        </p>
      ))}
      {faults.length > MOST_FAULTS && <p>And {faults.length - MOST_FAULTS} more that its plan tells.</p>}
    </>
  );
}

function Way({
  recipe,
  applied,
  yours,
  menu,
  material,
  follow,
  rename,
  remove,
}: Omit<Props, "recipes" | "applied" | "keep" | "takeIn" | "refused"> & { recipe: RecipeRecord; applied: AppliedRecipe | undefined }) {
  const name = useTyped<string>({
    value: recipe.name,
    text: (said) => said,
    read: (text) => (text.trim() === "" ? { wrong: "a way needs a name" } : { value: text.trim() }),
    save: (said) => rename(recipe.id, said),
  });
  const share = () => download({ name: `${recipe.name.replace(/[^\p{L}\p{N}]+/gu, "-").toLowerCase()}.json`, text: writeRecipe(recipe) });
  return (
    <li className="sheet grid content-start gap-1 p-3">
      <div className="flex items-center gap-1">
        <div className="grow">
          <TypedBox field={name} aria-label={`Name of the way ${recipe.name}`} maxLength={MAX_RECIPE_NAME} />
        </div>
        <ToolButton icon={Download} label={`Save ${recipe.name} as a file`} onClick={share} />
        <ToolButton icon={Trash2} label={`Let go of ${recipe.name}`} onClick={() => remove(recipe)} />
      </div>
      <p className="text-soft">{recipe.school}</p>
      {applied && (
        <>
          <MiniSection groups={alikeZones(applied.plan.zones)} menu={menu} material={material} states={null} label={`Coats by ${recipe.name}`} />
          <OnThisPiece applied={applied} yours={yours} />
          <button type="button" className="button justify-self-start" aria-label={`Do it by ${recipe.name}`} onClick={() => follow(applied)}>
            Do it this way
          </button>
        </>
      )}
    </li>
  );
}

/** Keeps the plan that is followed under a name. */
function Keep({ keep }: Pick<Props, "keep">) {
  const [name, setName] = useDraft("own-way.name", "");
  const said = name.trim();
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (said === "") return;
        keep(said);
        setName("");
      }}
    >
      <label className="grow basis-48">
        Keep the plan you follow as a way of your own
        <input
          className="field"
          value={name}
          maxLength={MAX_RECIPE_NAME}
          placeholder="Terrace pots, sealed inside"
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <button type="submit" className="button" disabled={said === ""}>
        Keep it
      </button>
    </form>
  );
}

/** Ways of the user's own: each worked out for this piece, with what does not fit here said. */
export function OwnWays(props: Props) {
  const { recipes, applied, keep, takeIn, refused, ...rest } = props;
  return (
    <section aria-labelledby="own-ways" className="mt-8">
      <h2 id="own-ways" className="text-xl">
        Ways of your own
      </h2>
      {recipes.length > 0 && (
        <ul className="mt-2 grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
          {recipes.map((recipe) => (
            <Way key={recipe.id} recipe={recipe} applied={applied.get(recipe.id)} {...rest} />
          ))}
        </ul>
      )}
      <div className="mt-3 flex flex-wrap items-end gap-4">
        <Keep keep={keep} />
        <FileButton icon={Upload} label="A way of working from a file" accept=".json,application/json" take={takeIn}>
          Bring one in
        </FileButton>
      </div>
      {refused !== null && (
        <p role="alert" className="mt-2 text-stop">
          Nothing was taken in: {refused}
        </p>
      )}
    </section>
  );
}
