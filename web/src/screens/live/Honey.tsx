import { useState } from "react";
import type { BrewResponse } from "../../api/client";
import { useNow } from "../../parts/now";
import { celsius, clock } from "../../parts/say";
import { useAlarm } from "./alarm";
import { useBrewClock } from "./clock";

const KEY = "ember-honey";
/** Later than this the cup is drunk, min. */
const OVER_MIN = 30;

/** When honey may go into the cup, and a ring then if the cook wants one; it survives a reload. */
export function Honey({ brew }: { brew: BrewResponse }) {
  useNow(1000);
  const at = useBrewClock(brew)();
  const [wanted, setWanted] = useState(() => localStorage.getItem(KEY) === brew.id);
  const ready = new Date(brew.readyAt ?? brew.serverNow).getTime();
  const after = brew.plan.honeyAfterS ?? 0;
  const honeyAt = ready + after * 1000;
  if (after <= 0 || at > honeyAt + OVER_MIN * 60_000) return null;
  const want = (on: boolean) => {
    if (on) localStorage.setItem(KEY, brew.id);
    else localStorage.removeItem(KEY);
    setWanted(on);
  };
  const due = at >= honeyAt;
  return (
    <p className="mt-3 max-w-prose border-amber border-l-[5px] pl-3">
      {due
        ? `Honey may go in now: the cup has cooled to ${celsius(40)}.`
        : `Honey may go in from ${clock(new Date(honeyAt))}, when the cup has cooled to ${celsius(40)}.`}{" "}
      {(!due || wanted) && (
        <button
          type="button"
          aria-pressed={wanted}
          className="min-h-9 underline underline-offset-4"
          onClick={() => want(!wanted)}
        >
          {due ? "It is in" : wanted ? "It will ring; rather not" : "Ring then"}
        </button>
      )}
      {wanted && <Ring due={due} name={brew.name} />}
    </p>
  );
}

function Ring({ due, name }: { due: boolean; name: string }) {
  const alarm = useAlarm(due ? "Honey may go in" : null, `${name} · Ember Cup`);
  return alarm.ringing ? (
    <button
      type="button"
      className="ml-4 min-h-9 underline underline-offset-4"
      onClick={() => alarm.snooze(1)}
    >
      Quiet for 1 min
    </button>
  ) : null;
}
