import { Suspense, useState } from "react";
import { NavLink, Outlet, ScrollRestoration, useLocation } from "react-router";
import { useDoor } from "../api/door";
import { useHouse } from "../api/house";
import { readRefused, useAtRisk, useRefused, useWaiting } from "../api/outbox";
import { useDay, useKitchen } from "../api/queries";
import { Said } from "../words/Said";
import { say } from "../words/say";
import { Alarms } from "./Alarms";
import { DayStrip } from "./DayStrip";
import { Keys } from "./Keys";
import { NewVersion } from "./NewVersion";
import { Notices, useDrawn } from "./Notices";
import { Pairing } from "./Pairing";
import { clock } from "./say";
import { Loading, Trouble } from "./states";
import { toggleTheme, useTheme } from "./theme";

const PLACES = [
  { to: "/", label: say("common.today") },
  { to: "/choose", label: say("common.choose") },
  { to: "/keeping", label: say("common.keeping") },
  { to: "/notebook", label: say("common.notebook") },
  { to: "/herbs", label: say("common.herbs") },
  { to: "/household", label: say("common.household") },
];

/** Every screen: the places, the day strip, the screen itself. */
export function Shell() {
  const theme = useTheme();
  const waiting = useWaiting();
  const atRisk = useAtRisk();
  const refused = useRefused();
  const house = useHouse();
  const kitchen = useKitchen();
  const door = useDoor();
  const live = useLocation().pathname.startsWith("/brew/");
  return (
    <div className="flex min-h-dvh flex-col">
      <a href="#main" className="sr-only focus:not-sr-only focus:p-2">
        {say("common.toThePage")}
      </a>
      <header
        className={`no-print flex min-h-[46px] flex-wrap items-center gap-x-6 border-hairline border-b px-4 md:px-6 ${live ? "max-md:hidden" : ""}`}
      >
        <NavLink
          to="/"
          className="relative max-sm:reach flex items-center gap-2.5 font-semibold text-lg"
          aria-label={say("common.emberCupToToday")}
        >
          <Mark />
          <span>{say("common.emberCup")}</span>
        </NavLink>
        <nav
          aria-label={say("common.places")}
          className="flex max-sm:order-last max-sm:w-full max-sm:justify-between sm:gap-5 md:gap-6"
        >
          {PLACES.map((p) => (
            <NavLink
              key={p.to}
              to={p.to}
              end={p.to === "/"}
              className={({ isActive }) =>
                `whitespace-nowrap border-b-[3px] py-1.5 max-sm:grid max-sm:min-h-11 max-sm:place-items-center max-sm:text-[min(15px,4vw)] ${isActive ? "border-ink font-semibold" : "border-transparent hover:border-hairline"}`
              }
            >
              {p.label}
            </NavLink>
          ))}
        </nav>
        <div className="ml-auto flex gap-5">
          <button type="button" className="min-h-11 min-w-11 hover:underline" onClick={toggleTheme}>
            {theme === "night" ? say("common.day") : say("common.night")}
          </button>
          <Keys />
        </div>
      </header>
      <div className={live ? "max-md:hidden" : ""}>{house && door.paired && <DayStrip />}</div>
      <Notices>
        {door.paired && <Alarms />}
        <NewVersion />
        {door.keptSince && (
          <p role="status" className="border-amber border-l-[5px] px-4 py-1.5 text-sm md:px-6">
            {say("common.theKitchenServerDoesNotAnswer")}
          </p>
        )}
        {waiting > 0 && (
          <p role="status" className="bg-strip px-4 py-1.5 text-sm md:px-6">
            <Said of="common.keptHereUntilTheKitchen" count={waiting} />
          </p>
        )}
        {atRisk > 0 && (
          <p role="alert" className="border-stop border-l-[5px] px-4 py-1.5 text-sm md:px-6">
            <Said of="common.thisDeviceHasNoRoom" count={atRisk} />
          </p>
        )}
        {refused.map((r) => (
          <p
            key={r.event.id}
            role="alert"
            className="flex flex-wrap items-baseline gap-x-5 border-stop border-l-4 px-4 py-1.5 text-sm md:px-6"
          >
            <span>
              <Said of="common.ofNotTaken" clock={clock(new Date(r.happenedMs))} refused={r.refused} />
            </span>
            <button
              type="button"
              className="min-h-11 underline underline-offset-4"
              onClick={() => readRefused(r.event.id)}
            >
              {say("common.iHaveReadIt")}
            </button>
          </p>
        ))}
      </Notices>
      <main id="main" className="mx-auto w-full max-w-[1280px] flex-1 px-4 pb-1 md:px-6">
        <Suspense fallback={<Loading what={say("common.thePage")} />}>
          {!door.paired ? (
            <Pairing />
          ) : house ? (
            <Screen />
          ) : kitchen.error ? (
            <Trouble error={kitchen.error} again={kitchen.refetch} />
          ) : (
            <Loading what={say("common.theHouse")} />
          )}
        </Suspense>
      </main>
      <ScrollRestoration />
    </div>
  );
}

/**
 * The screen, once the day was known or did not come: drawn before, it would jump down from under a finger when the strip gets its
 * lanes and an alarm its line. What stood once stays, also when other hours are asked for.
 */
function Screen() {
  const { isPending, failureCount } = useDay();
  const [stood, setStood] = useState(false);
  const stands = stood || !isPending || failureCount > 0;
  if (stands && !stood) setStood(true);
  useDrawn(stands);
  return stands ? <Outlet /> : <Loading what={say("common.theDay")} />;
}

function Mark() {
  return (
    <svg width={24} height={24} viewBox="0 0 24 24" aria-hidden>
      <path
        d="M3 4h18l-2.5 16h-13z"
        fill="none"
        stroke="var(--ink)"
        strokeWidth={2.4}
        strokeLinejoin="round"
      />
      <circle cx={12} cy={13} r={3.4} fill="var(--ember)" />
    </svg>
  );
}
