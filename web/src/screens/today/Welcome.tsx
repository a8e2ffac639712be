import type { ReactNode } from "react";
import { Link, useNavigate } from "react-router";
import { useKeepRecipe } from "../../api/changes";
import { useHousehold, useKitchen, usePeople, useShelf, useStarters } from "../../api/queries";
import { POT_LINE, PotLine } from "../../parts/PotList";
import { celsius } from "../../parts/say";
import { Loading, Trouble } from "../../parts/states";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { BringBack } from "../household/Backups";

/** Whoever has no pot yet: three to begin with, and what to enter first, with what it is good for. */
export function Welcome() {
  const people = usePeople();
  const shelf = useShelf();
  const kitchen = useKitchen();
  const k = kitchen.data;
  return (
    <div className="grid gap-x-12 gap-y-8 pt-6 lg:grid-cols-[minmax(0,1fr)_380px]">
      <title>{say("today.todayEmberCup")}</title>
      <section aria-labelledby="first">
        <h1 id="first" className="text-3xl">
          {say("today.beginWithAPot")}
        </h1>
        <p className="mt-2 max-w-prose">{say("today.nothingIsKeptHereYet")}</p>
        <div className="mt-4">
          <StarterPots />
        </div>
        <p className="mt-4 flex flex-wrap gap-x-6">
          <Link to="/recipe/new" className="min-h-11 underline underline-offset-4">
            {say("today.pasteOrWriteARecipe")}
          </Link>
          <Link to="/herbs" className="min-h-11 underline underline-offset-4">
            {say("today.beginWithAHerb")}
          </Link>
        </p>
        <Back />
      </section>
      <section aria-labelledby="enter">
        <h2 id="enter" className="text-2xl">
          {say("today.whatToEnterAndWhy")}
        </h2>
        <ol className="mt-3 border-hairline border-t">
          <Entry
            to="/household"
            what={say("today.whoDrinks")}
            done={people.data?.map((p) => p.name).join(", ")}
          >
            {say("today.ageAndWhatIsTo")}
          </Entry>
          <Entry
            to="/household"
            what={say("today.howNumbersAreRead")}
            done={k && say("today.waterBoilsHereAt", { temperature: celsius(k.boilingC, true) })}
          >
            {say("today.cOrFGramsOr")}
          </Entry>
          <Entry
            to="/keeping"
            what={say("today.whatIsInTheTins")}
            done={shelf.data && shelf.data.length > 0 ? say("common.tins", { n: shelf.data.length }) : ""}
          >
            {say("today.thenChooseShowsWhatCan")}
          </Entry>
          <Entry
            to="/household"
            what={say("today.vesselsAndStoveLater")}
            done={k?.vessels.map((v) => v.name).join(", ")}
          >
            {say("today.theyMayWaitUntilThen")}
          </Entry>
        </ol>
      </section>
    </div>
  );
}

/** Whoever had a household before brings it along. */
function Back() {
  if (!useHousehold().data?.empty) return null;
  return (
    <div className="mt-6 border-hairline border-t pt-4">
      <p className="max-w-prose">{say("today.aHouseholdThatWasSaved")}</p>
      <BringBack />
    </div>
  );
}

function Entry({
  to,
  what,
  done,
  children,
}: {
  to: string;
  what: string;
  /** What is entered already. */
  done?: string;
  children: ReactNode;
}) {
  return (
    <li className="border-hairline border-b">
      <Link to={to} className="block py-3 hover:bg-strip">
        <span className="font-semibold underline underline-offset-4">{what}</span>
        <span className="mt-1 block text-muted text-sm">{children}</span>
        {done && (
          <span className="block text-sm">
            <Said of="today.now" done={done} />
          </span>
        )}
      </Link>
    </li>
  );
}

/** Three pots of our own; one that is taken is kept as a recipe like any other, and its sheet opens. */
export function StarterPots() {
  const starters = useStarters();
  const navigate = useNavigate();
  const { mutate, isPending, error } = useKeepRecipe();
  if (starters.isPending) return <Loading what={say("today.threePots")} />;
  if (starters.error) return <Trouble error={starters.error} again={() => starters.refetch()} />;
  return (
    <>
      <ul aria-label={say("today.potsToBeginWith")} className="border-hairline border-t">
        {starters.data.map((pot) => (
          <li key={pot.recipe.name} className="border-hairline border-b">
            <button
              type="button"
              className={POT_LINE}
              disabled={isPending}
              onClick={() =>
                mutate(
                  { id: undefined, draft: { about: pot.about, purposes: pot.purposes, recipe: pot.recipe } },
                  { onSuccess: (kept) => navigate(`/sheet/${kept.id}`) },
                )
              }
            >
              <PotLine pot={pot} />
            </button>
          </li>
        ))}
      </ul>
      {error != null && <Trouble error={error} />}
    </>
  );
}
