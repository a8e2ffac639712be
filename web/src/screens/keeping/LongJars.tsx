import { Link } from "react-router";
import type { JarResponse, ShakingLine, StandingJar } from "../../api/client";
import { confirm } from "../../api/outbox";
import { dayOf, noonOf } from "../../api/zone";
import { ShakingDays } from "../../drawings/ShakingDays";
import { ABOVE, Silhouette } from "../../drawings/Silhouette";
import { Primary, Secondary } from "../../parts/Field";
import { day } from "../../parts/say";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import type { OnDone } from "./Cup";
import { Jars } from "./Jars";

const TALLEST_PX = 130;

/** What stands in the dark: tinctures in their bottles, and long jars with the days on which they are shaken. */
export function Dark({
  jars,
  bottles,
  now,
  onDone,
}: {
  jars: StandingJar[];
  bottles: JarResponse[];
  now: Date;
  onDone: OnDone;
}) {
  if (jars.length + bottles.length === 0) return null;
  const pxPerCm = TALLEST_PX / Math.max(...jars.map((j) => j.vessel.heightCm), 1);
  return (
    <section aria-labelledby="standing" className="mt-8">
      <h2 id="standing" className="text-3xl">
        {say("keeping.inTheDark")}
      </h2>
      <Jars jars={bottles} now={now} onDone={onDone} />
      {jars.length > 0 && <p className="mt-4 text-muted">{say("keeping.longJarsAreShakenOnce")}</p>}
      <ul className="mt-3 flex flex-wrap gap-x-12 gap-y-6">
        {jars.map((j) => (
          <li key={j.id} className="flex gap-2">
            <span className="block self-end border-ink border-b-2" style={{ minHeight: TALLEST_PX + ABOVE }}>
              <Silhouette
                kind="jar"
                diameterCm={j.vessel.innerDiameterCm}
                heightCm={j.vessel.heightCm}
                pxPerCm={pxPerCm}
                level={j.share}
              />
            </span>
            <div className="max-w-72">
              <Link to={`/brew/${j.id}`} className="font-semibold underline underline-offset-4">
                {j.name}
              </Link>
              <p className="text-muted text-sm">
                <Said of="keeping.inMenstruum" menstruum={j.menstruum} />
              </p>
              <Shaken brewId={j.id} shaking={j.shaking} now={now} onDone={onDone} />
              <p className="mt-1 text-sm">
                <a
                  href={`/api/labels.pdf?paper=roll&jar=${j.id}`}
                  target="_blank"
                  rel="noreferrer"
                  className="relative underline underline-offset-4 max-sm:reach"
                >
                  {say("keeping.aLabelForIt")}
                </a>
              </p>
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The days of one long jar, the tick for today, and when it is pressed. */
export function Shaken({
  brewId,
  shaking,
  now,
  onDone,
}: {
  brewId: string;
  shaking: ShakingLine;
  now: Date;
  onDone?: OnDone;
}) {
  const over = shaking.press <= dayOf(now);
  const shake = () => {
    const event = confirm(brewId, { kind: "shaken" });
    onDone?.(brewId, event, say("keeping.shakenToday"));
  };
  return (
    <>
      <div className="mt-2">
        <ShakingDays days={shaking.days} />
      </div>
      <p className={`mt-1 text-sm ${over ? "font-semibold text-amber-text" : "text-muted"}`}>
        {over
          ? say("keeping.itsTimeIsUpStrain")
          : say("keeping.pressedOn", { day: day(noonOf(shaking.press)) })}
      </p>
      <p className="mt-2">
        {shaking.due ? (
          <Primary onClick={shake}>{say("keeping.shakenTodayTitle")}</Primary>
        ) : (
          over && <Secondary onClick={shake}>{say("keeping.shaken")}</Secondary>
        )}
      </p>
    </>
  );
}
