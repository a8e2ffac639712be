import type { DropsLine, JarResponse } from "../../api/client";
import { confirm } from "../../api/outbox";
import { Primary } from "../../parts/Field";
import { millilitres } from "../../parts/say";
import { Why } from "../../parts/Why";
import type { Said } from "./Cup";

/** How a tincture is taken: by the drop or the spoon, how strong it is, and a dose of it. */
export function Drops({ jar, drops, onSaid }: { jar: JarResponse; drops: DropsLine; onSaid: Said }) {
  const count = Math.round(drops.drops);
  const { workings: why } = drops;
  return (
    <>
      <p className="mt-3 max-w-prose text-lg">
        A dose is{" "}
        <Why what="Drops" workings={why.drops} className="font-semibold">
          {count} drops
        </Why>
        , that is{" "}
        <Why what="A dose" workings={why.doseMl}>
          {drops.doseMl.toFixed(1)} mL
        </Why>{" "}
        or{" "}
        <Why what="By the spoon" workings={why.teaspoons}>
          {drops.teaspoons.toFixed(1)} of a level teaspoon
        </Why>
        , in a little water, at most {drops.timesADay} times a day.
      </p>
      <p className="mt-1 text-muted">
        Drawn 1 :{" "}
        <Why what="Menstruum on a gram of herb" workings={why.strength}>
          {drops.strength.toFixed(1)}
        </Why>
        {drops.alcoholPercent != null && (
          <>
            , with{" "}
            <Why what="Alcohol" workings={why.alcoholPercent}>
              {Math.round(drops.alcoholPercent)} % of alcohol
            </Why>
            : {drops.alcoholG?.toFixed(1)} g in a dose
          </>
        )}
        . Closed and in the dark it keeps for months.
      </p>
      <p className="mt-3">
        <Primary
          onClick={() =>
            onSaid(
              jar.id,
              confirm(jar.id, { kind: "poured", value: Math.min(drops.doseMl, jar.leftMl) }),
              `${count} drops of ${jar.name} taken, ${millilitres(drops.doseMl)}.`,
            )
          }
        >
          Taken: {String(count)} drops
        </Primary>
      </p>
    </>
  );
}
