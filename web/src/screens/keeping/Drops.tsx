import type { DropsLine, JarResponse } from "../../api/client";
import { confirm } from "../../api/outbox";
import { Primary } from "../../parts/Field";
import { millilitres } from "../../parts/say";
import { Why } from "../../parts/Why";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import type { OnDone } from "./Cup";

/** How a tincture is taken: by the drop or the spoon, how strong it is, and a dose of it. */
export function Drops({ jar, drops, onDone }: { jar: JarResponse; drops: DropsLine; onDone: OnDone }) {
  const count = Math.round(drops.drops);
  const { workings: why } = drops;
  return (
    <>
      <p className="mt-3 max-w-prose text-lg">
        <Said
          of="keeping.aDoseIsThatIs"
          drops={
            <Why what={say("keeping.dropsTitle")} workings={why.drops} className="font-semibold">
              <Said of="keeping.drops" count={count} />
            </Why>
          }
          aDose={
            <Why what={say("keeping.aDose")} workings={why.doseMl}>
              <Said of="keeping.doseMl" doseMl={drops.doseMl.toFixed(1)} />
            </Why>
          }
          byTheSpoon={
            <Why what={say("keeping.byTheSpoon")} workings={why.teaspoons}>
              {say("keeping.ofALevelTeaspoon", { teaspoons: drops.teaspoons.toFixed(1) })}
            </Why>
          }
          timesADay={drops.timesADay}
        />
      </p>
      <p className="mt-1 text-muted">
        <Said
          of="keeping.drawn1ClosedAndIn"
          parts={
            <Why what={say("keeping.menstruumOnAGramOf")} workings={why.strength}>
              {drops.strength.toFixed(1)}
            </Why>
          }
          alcohol={
            drops.alcoholPercent != null && (
              <Why what={say("keeping.alcohol")} workings={why.alcoholPercent}>
                {say("keeping.ofAlcohol", { percent: Math.round(drops.alcoholPercent) })}
              </Why>
            )
          }
          alcoholG={drops.alcoholG?.toFixed(1)}
        />
      </p>
      <p className="mt-3">
        <Primary
          onClick={() =>
            onDone(
              jar.id,
              confirm(jar.id, { kind: "poured", value: Math.min(drops.doseMl, jar.leftMl) }),
              say("keeping.dropsOfTaken", { count, name: jar.name, amount: millilitres(drops.doseMl) }),
            )
          }
        >
          <Said of="keeping.takenDrops" string={String(count)} />
        </Primary>
      </p>
    </>
  );
}
