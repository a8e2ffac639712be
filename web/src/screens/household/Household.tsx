import { useKitchen, usePeople } from "../../api/queries";
import { Loading, Trouble } from "../../parts/states";

/** Who drinks, and with what it is brewed. */
export default function Household() {
  const people = usePeople();
  const kitchen = useKitchen();
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
            <li key={p.id} className="border-hairline border-b py-3">
              <span className="font-semibold text-lg">{p.name}</span>
              {p.brewer && <span className="text-muted">, who brews</span>}
              <span className="block text-muted">
                {p.ageYears} years{p.weightKg ? `, ${p.weightKg} kg` : ""}
                {p.conditions.length > 0 && `; ${p.conditions.map((c) => c.replaceAll("-", " ")).join(", ")}`}
                {p.allergies.length > 0 && `; allergic to ${p.allergies.join(", ")}`}
              </span>
            </li>
          ))}
        </ul>
        <h2 className="mt-8 text-2xl">Place</h2>
        <dl className="mt-2 grid grid-cols-[10rem_1fr] gap-y-1">
          <dt className="text-muted">Altitude</dt>
          <dd>
            {k.altitudeM} m, water boils at {k.boilingC.toFixed(1)} °C
          </dd>
          <dt className="text-muted">Room and tap</dt>
          <dd>
            {k.roomC} °C and {k.tapC} °C
          </dd>
          <dt className="text-muted">Spoons and cups</dt>
          <dd>{k.measures === "us" ? "US" : k.measures}</dd>
          <dt className="text-muted">One liang</dt>
          <dd>{k.liangG} g</dd>
        </dl>
      </section>
      <section aria-labelledby="vessels">
        <h1 id="vessels" className="text-3xl">
          Vessels and stove
        </h1>
        <ul className="mt-4 flex flex-wrap items-end gap-x-7 gap-y-5">
          {k.vessels.map((v) => (
            <li key={v.id} className="text-sm">
              <svg
                width={(v.innerDiameterCm / largest) * 130 + 8}
                height={(v.heightCm / largest) * 130 + 6}
                aria-hidden
              >
                <path
                  d={`M3,3 V${(v.heightCm / largest) * 130} H${(v.innerDiameterCm / largest) * 130 + 3} V3`}
                  fill="none"
                  stroke="var(--ink)"
                  strokeWidth={4}
                  strokeLinecap="round"
                  strokeLinejoin="round"
                />
              </svg>
              <span className="block font-semibold">{v.name}</span>
              <span className="block text-muted">
                {v.innerDiameterCm} × {v.heightCm} cm, {Math.round(v.brimMl)} mL
              </span>
            </li>
          ))}
        </ul>
        <table className="mt-8 w-full max-w-md">
          <thead>
            <tr className="border-hairline border-b text-left text-muted text-sm">
              <th className="py-1 font-normal">Net power into the water</th>
              <th className="py-1 text-right font-normal">low</th>
              <th className="py-1 text-right font-normal">medium</th>
              <th className="py-1 text-right font-normal">high</th>
            </tr>
          </thead>
          <tbody>
            {k.burners.map((b) => (
              <tr key={b.id} className="border-hairline border-b">
                <td className="py-2">{b.name}</td>
                <td className="py-2 text-right">{b.lowW} W</td>
                <td className="py-2 text-right">{b.mediumW} W</td>
                <td className="py-2 text-right">{b.highW} W</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  );
}
