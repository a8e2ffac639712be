import { memo } from "react";
import { Link } from "react-router";
import { useChangeTin } from "../../api/changes";
import type { Tin, TinRequest } from "../../api/client";
import { ThingShape } from "../../drawings/Things";
import { useInSight } from "../../parts/inSight";
import { fullDate, grams } from "../../parts/say";
import { OneOf, Word } from "../../parts/Word";
import { formSaid } from "../../words/kinds";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { DayWord, NumberWord, TextWord, useInPlace } from "../household/inPlace";
import { asItIs, isFresh, PLACES, share } from "./things";

/** "about 44 g, 42 to 46": what was brewed since it was weighed is taken out, and a spoon is no scale. */
function leftSaid(t: Tin): string {
  if (!t.left) return "";
  const { grams: left, lowG, highG, brews } = t.left;
  if (brews === 0) return grams(left);
  return highG - lowG < 0.5 ? grams(left) : say("keeping.about", { weight: grams(left) });
}

interface LineProps {
  tin: Tin;
  /** Whether it is the one whose label was read. */
  labelled: boolean;
  onFill: (tin: Tin) => void;
  onGone: (tin: Tin) => void;
}

/** One thing of a herb: what it is, where it stands since when, what is left, until when and why; all of it changed here. */
export const Line = memo(function Line({ tin, labelled, onFill, onGone }: LineProps) {
  const line = useInSight<HTMLLIElement>(labelled);
  const change = useChangeTin();
  const it = useInPlace<Tin, TinRequest>(
    tin,
    { ...change, mutateAsync: (draft) => change.mutateAsync({ id: tin.id, draft }) },
    (t, part) => ({
      ...asItIs(t),
      version: t.version,
      // What is changed elsewhere in the line weighs nothing.
      amountStays: !("grams" in part),
      ...part,
    }),
  );
  const until = tin.bestBefore
    ? say(tin.stale ? "keeping.pastItsTimeSince" : "keeping.goodUntil", { when: fullDate(tin.bestBefore) })
    : say("keeping.keeps");
  return (
    <li
      ref={line}
      className={`grid grid-cols-[auto_minmax(0,1fr)_auto] items-center gap-x-4 border-hairline border-b py-2 sm:grid-cols-[auto_minmax(0,1.4fr)_7rem_minmax(0,1fr)_auto] ${labelled ? "bg-strip outline-2 outline-ink" : ""}`}
    >
      <ThingShape fresh={isFresh(tin)} place={tin.place} share={share(tin)} stale={tin.stale} />
      <span>
        <Link
          to={`/herbs/${tin.herb}`}
          className="relative font-semibold underline-offset-4 hover:underline max-sm:reach"
        >
          {tin.common}
        </Link>
        <span className="block text-muted text-sm max-sm:leading-10">
          {formSaid(tin.form)},{" "}
          <Word
            quiet
            label={say("keeping.whereStands", { common: tin.common })}
            shown={PLACES[tin.place]?.words ?? tin.place}
          >
            {(close) => (
              <OneOf
                label={say("keeping.whereItStands")}
                value={tin.place}
                options={tin.places.map((p) => ({
                  value: p,
                  label: PLACES[p]?.words ?? p,
                  gloss: PLACES[p]?.gloss,
                }))}
                onPick={(place) => it.keep({ place: place as "shelf" }, close)}
              />
            )}
          </Word>{" "}
          <span className="whitespace-nowrap">
            <Said
              of="keeping.since"
              day={
                <DayWord
                  quiet
                  label={say("keeping.dayOf", { common: tin.common })}
                  shown={fullDate(tin.filledOn)}
                  value={tin.filledOn}
                  wrong={it.wrong("filledOn")}
                  onKeep={(filledOn, close) => it.keep({ filledOn }, close)}
                />
              }
            />
          </span>{" "}
          <TextWord
            quiet
            label={say("keeping.aWordOn", { common: tin.common })}
            shown={tin.note || "+"}
            value={tin.note}
            wrong={it.wrong("note")}
            onKeep={(note, close) => it.keep({ note }, close)}
          />
        </span>
        {it.trouble}
      </span>
      <span className="text-right">
        <NumberWord
          label={say("keeping.howMuchIsIn", { common: tin.common })}
          shown={leftSaid(tin) || say("keeping.weighIt")}
          value={tin.left?.grams}
          of="mass"
          field="grams"
          wrong={it.wrong}
          mayBeMissing
          onKeep={(g, close) => it.keep({ grams: g }, close)}
        />
        {tin.left && tin.left.brews > 0 && (
          <span className="block text-muted text-sm max-sm:w-24">
            {say("keeping.takenFromSince", { times: tin.left.brews, weight: grams(tin.grams ?? 0) })}
          </span>
        )}
      </span>
      <span
        className={`text-sm max-sm:col-span-2 max-sm:col-start-2 ${tin.stale ? "font-semibold text-amber-text" : tin.going ? "text-amber-text" : "text-muted"}`}
      >
        <Word quiet label={say("keeping.whyKeepsSoLong", { common: tin.common })} shown={until}>
          {() => (
            <p className="max-w-72 p-1">
              {tin.why}
              {tin.source && (
                <span className="mt-1 block text-muted text-sm">
                  <Said of="keeping.source" source={tin.source} />
                </span>
              )}
            </p>
          )}
        </Word>
        {(tin.stale || tin.going) && (
          <Link
            to={`/choose?words=${encodeURIComponent(tin.common)}`}
            className="ml-2 underline underline-offset-4"
          >
            {say("keeping.useItUp")}
          </Link>
        )}
      </span>
      <span className="flex gap-4 text-sm max-sm:col-span-2 max-sm:col-start-2">
        <button
          type="button"
          className="min-h-9 max-sm:min-h-11 underline underline-offset-4"
          aria-label={say("keeping.filledAnewTodayCommon", { common: tin.common })}
          onClick={() => onFill(tin)}
        >
          {say("keeping.filledAnew")}
        </button>
        <button
          type="button"
          className="min-h-9 max-sm:min-h-11 underline underline-offset-4"
          aria-label={say("keeping.goneTakeOffTheShelf", { common: tin.common })}
          onClick={() => onGone(tin)}
        >
          {say("keeping.gone")}
        </button>
      </span>
    </li>
  );
});
