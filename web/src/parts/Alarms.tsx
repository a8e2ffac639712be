import { useEffect, useState } from "react";
import { Link, useLocation } from "react-router";
import { presentMs } from "../api/present";
import { useDay } from "../api/queries";
import { Said } from "../words/Said";
import { say } from "../words/say";
import { ring } from "./bell";
import { useNow } from "./now";
import { span } from "./say";
import { goesOn, whereTo } from "./whereTo";

/** What has been over for longer is told, and no longer rung for. */
const RINGS_MS = 30 * 60_000;

/** More are scrolled, so that the screen under them keeps its room. */
const IN_SIGHT = 3;

/** Brews whose step is over, on whatever screen one is; the brew's own screen rings by itself. */
export function Alarms() {
  const day = useDay();
  const here = useLocation().pathname;
  const [quiet, setQuiet] = useState<Record<string, number>>({});
  useNow(1000);
  const now = presentMs();
  const due = (day.data?.open ?? []).filter(
    (b) => goesOn(b) && b.dueAt && Date.parse(b.dueAt) <= now && here !== `/brew/${b.id}`,
  );
  const fresh = due.filter((b) => now - Date.parse(b.dueAt ?? "") < RINGS_MS);
  const missed = due.filter((b) => !fresh.includes(b));
  const ringing = fresh.filter((b) => now >= (quiet[b.id] ?? 0));
  const rung = ringing.map((b) => `${b.id} ${b.now}`).join("\n");
  const first = ringing[0];
  const words = first ? `${first.name}: ${first.now ?? say("common.itIsTime")}` : "";
  useEffect(() => {
    if (rung && first) return ring(words, first.id);
  }, [rung]);
  if (due.length === 0) return null;
  return (
    <ul
      aria-label={say("common.alarms")}
      className={`border-ember border-l-[5px] px-4 md:px-6 ${due.length > IN_SIGHT ? "max-h-[40dvh] overflow-y-auto" : ""}`}
    >
      {fresh.map((b) => (
        <li key={b.id} className="flex flex-wrap items-center gap-x-5 border-hairline border-b py-1">
          <span>
            <span aria-hidden className="mr-2 text-ember-text">
              ●
            </span>
            <Said
              of="common.overFor"
              name={<strong>{b.name}</strong>}
              now={b.now ?? say("common.itIsTime")}
              time={span(Math.max(1, (now - Date.parse(b.dueAt ?? "")) / 1000))}
            />
          </span>
          <Link
            to={whereTo(b)}
            className="grid min-h-11 place-items-center font-semibold underline underline-offset-4"
          >
            {say("common.goThere")}
          </Link>
          {now >= (quiet[b.id] ?? 0) && (
            <button
              type="button"
              className="min-h-11 underline underline-offset-4"
              onClick={() => setQuiet({ ...quiet, [b.id]: presentMs() + 3 * 60_000 })}
            >
              {say("common.quietFor3Min")}
            </button>
          )}
        </li>
      ))}
      {missed.length > 0 && (
        <li className="py-1 text-sm">
          <Said
            of="common.missed"
            pots={missed.map((b, i) => (
              <span key={b.id}>
                {i > 0 && ", "}
                <Said
                  of="common.potMissedAgo"
                  link={
                    <Link to={whereTo(b)} className="relative underline underline-offset-4 max-sm:reach">
                      {b.name}
                    </Link>
                  }
                  time={span((now - Date.parse(b.dueAt ?? "")) / 1000)}
                />
              </span>
            ))}
          />
        </li>
      )}
    </ul>
  );
}
