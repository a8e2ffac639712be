import { useState } from "react";
import type { BurnerResponse, Person, VesselResponse } from "../../api/client";
import { useKitchen, usePeople } from "../../api/queries";
import { Silhouette } from "../../drawings/Silhouette";
import { conditionsSaid } from "../../parts/conditions";
import { Secondary } from "../../parts/Field";
import { apart, celsius, centimetres, millilitres, quantity } from "../../parts/say";
import { Loading, Trouble } from "../../parts/states";
import { BurnerDrawing } from "./Burner";
import { BurnerForm } from "./BurnerForm";
import { Calibrate } from "./Calibrate";
import { PersonForm } from "./PersonForm";
import { PlaceForm } from "./PlaceForm";
import { Reads } from "./Reads";
import { VesselForm } from "./VesselForm";

type Open =
  | { what: "person"; of?: Person }
  | { what: "vessel"; of?: VesselResponse }
  | { what: "burner"; of?: BurnerResponse }
  | { what: "calibrate"; of: BurnerResponse }
  | { what: "place" }
  | null;

/** Who drinks, and with what it is brewed. */
export default function Household() {
  const people = usePeople();
  const kitchen = useKitchen();
  const [open, setOpen] = useState<Open>(null);
  const close = () => setOpen(null);
  if (people.isPending || kitchen.isPending) return <Loading what="the household" />;
  if (people.error || kitchen.error)
    return <Trouble error={people.error ?? kitchen.error} again={() => people.refetch()} />;
  const k = kitchen.data;
  const largest = Math.max(...k.vessels.map((v) => Math.max(v.heightCm, v.innerDiameterCm)), 1);
  return (
    <div className="grid gap-x-14 gap-y-8 pt-6 md:grid-cols-2">
      <title>Household · Ember Cup</title>
      <section aria-labelledby="people">
        <h1 id="people" className="text-3xl">
          People
        </h1>
        <ul className="mt-3 border-hairline border-t">
          {people.data.map((p) => (
            <li key={p.id} className="flex items-start justify-between gap-4 border-hairline border-b py-3">
              <span>
                <span className="font-semibold text-lg">{p.name}</span>
                {p.brewer && <span className="text-muted">, who brews</span>}
                <span className="block text-muted">
                  {p.ageYears} years{p.weightKg ? `, ${quantity("bodyWeight", p.weightKg)}` : ""}
                  {p.conditions.length > 0 && `; ${conditionsSaid(p.conditions, p.trimester)}`}
                  {p.allergies.length > 0 && `; allergic to ${p.allergies.join(", ")}`}
                </span>
              </span>
              <Change label={`Change ${p.name}`} onClick={() => setOpen({ what: "person", of: p })} />
            </li>
          ))}
        </ul>
        <div className="mt-3">
          <Secondary onClick={() => setOpen({ what: "person" })}>Somebody else</Secondary>
        </div>
        <h2 className="mt-8 text-2xl">Place</h2>
        <dl className="mt-2 grid grid-cols-[10rem_1fr] gap-y-1">
          <dt className="text-muted">Altitude</dt>
          <dd>
            {quantity("height", k.altitudeM)}, water boils at {celsius(k.boilingC, true)}
          </dd>
          <dt className="text-muted">Room and tap</dt>
          <dd>
            {celsius(k.roomC)} and {celsius(k.tapC)}
          </dd>
          <dt className="text-muted">Kettle</dt>
          <dd>{k.kettleW} W</dd>
          <dt className="text-muted">Spoons and cups</dt>
          <dd>{k.measures === "us" ? "US" : k.measures}</dd>
          <dt className="text-muted">One liang</dt>
          <dd>{k.liangG} g</dd>
        </dl>
        <div className="mt-3">
          <Secondary onClick={() => setOpen({ what: "place" })}>Change the place</Secondary>
        </div>
        <h2 className="mt-8 text-2xl">How numbers are read</h2>
        <Reads kitchen={k} />
      </section>
      <section aria-labelledby="vessels">
        <h1 id="vessels" className="text-3xl">
          Vessels and stove
        </h1>
        <ul className="mt-4 flex flex-wrap items-end gap-x-7 gap-y-5">
          {k.vessels.map((v) => (
            <li key={v.id} className="text-sm">
              <button
                type="button"
                className="text-left hover:bg-strip"
                aria-label={`Change ${v.name}`}
                onClick={() => setOpen({ what: "vessel", of: v })}
              >
                <Silhouette
                  kind={v.kind}
                  diameterCm={v.innerDiameterCm}
                  heightCm={v.heightCm}
                  pxPerCm={130 / largest}
                />
                <span className="block font-semibold underline underline-offset-4">{v.name}</span>
                <span className="block text-muted">
                  {apart("length", v.innerDiameterCm).number} × {centimetres(v.heightCm)},{" "}
                  {millilitres(v.brimMl)}
                  {v.companions.map((c) => `, ${c.replace("-", " ")}`).join("")}
                </span>
              </button>
            </li>
          ))}
        </ul>
        <div className="mt-4">
          <Secondary onClick={() => setOpen({ what: "vessel" })}>Another vessel</Secondary>
        </div>
        <h2 className="mt-8 text-2xl">Burners</h2>
        <p className="text-muted text-sm">
          Heat that reaches the water at a low, medium and high flame; the rest goes past the pot.
        </p>
        <ul className="mt-2 max-w-md border-hairline border-t">
          {k.burners.map((b) => (
            <li key={b.id} className="border-hairline border-b py-2">
              <span className="flex items-baseline justify-between gap-4">
                <span className="flex items-end gap-4">
                  <BurnerDrawing low={b.lowW} medium={b.mediumW} high={b.highW} />
                  <span className="font-semibold">{b.name}</span>
                </span>
                <span>
                  {Math.round(b.lowW)} · {Math.round(b.mediumW)} · {Math.round(b.highW)} W
                </span>
              </span>
              <span className="flex justify-end gap-5">
                <Change label={`Change ${b.name}`} onClick={() => setOpen({ what: "burner", of: b })} />
                <button
                  type="button"
                  className="min-h-11 underline underline-offset-4"
                  aria-label={`measure it: ${b.name}`}
                  onClick={() => setOpen({ what: "calibrate", of: b })}
                >
                  measure it
                </button>
              </span>
            </li>
          ))}
        </ul>
        <div className="mt-3">
          <Secondary onClick={() => setOpen({ what: "burner" })}>Another burner</Secondary>
        </div>
      </section>
      {open?.what === "person" && <PersonForm person={open.of} onClose={close} />}
      {open?.what === "vessel" && <VesselForm vessel={open.of} onClose={close} />}
      {open?.what === "burner" && <BurnerForm burner={open.of} onClose={close} />}
      {open?.what === "calibrate" && <Calibrate burner={open.of} vessels={k.vessels} onClose={close} />}
      {open?.what === "place" && <PlaceForm kitchen={k} onClose={close} />}
    </div>
  );
}

function Change({ label, onClick }: { label: string; onClick: () => void }) {
  return (
    <button
      type="button"
      aria-label={label}
      className="min-h-11 underline underline-offset-4"
      onClick={onClick}
    >
      change
    </button>
  );
}
