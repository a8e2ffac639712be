import { useState } from "react";
import { useKeepVessel, useRemoveVessel } from "../../api/changes";
import type { VesselRequest, VesselResponse } from "../../api/client";
import { inCore, onScale, scaleOf, stepAt } from "../../api/house";
import * as length from "../../api/length.gen";
import { ABOVE, BESIDE, Silhouette } from "../../drawings/Silhouette";
import { stepOf, useDrag } from "../../drawings/useDrag";
import { QuantityField, SelectField, TextField } from "../../parts/Field";
import { apart, centimetres, millilitres } from "../../parts/say";
import { TakeAway } from "../../parts/TakeAway";
import { OneOf, Word } from "../../parts/Word";
import { Said } from "../../words/Said";
import { listed, say } from "../../words/say";
import { type InPlace, NameWord, NewThing, NumberWord, useInPlace } from "./inPlace";

type Kind = NonNullable<VesselRequest["kind"]>;

const KINDS: { value: Kind; label: string; gloss: string }[] = [
  { value: "pot", label: say("vessel.pot"), gloss: say("household.standsOnAFlame") },
  { value: "jar", label: say("vessel.jar"), gloss: say("household.withALidForWhat") },
  { value: "press", label: say("vessel.press"), gloss: say("household.withAPlungerThatKeeps") },
  { value: "teapot", label: say("vessel.teapot"), gloss: say("household.forWhatIsPouredOver") },
  { value: "thermos", label: say("vessel.thermos"), gloss: say("household.keepsHotForHours") },
  { value: "mug", label: say("vessel.mug"), gloss: say("household.brewedInAndDrunkFrom") },
];

const COMPANIONS: {
  value: NonNullable<VesselRequest["companions"]>[number];
  label: string;
  within: string;
}[] = [
  { value: "tea-ball", label: say("household.aTeaBallItIs"), within: say("household.aTeaBall") },
  { value: "blender", label: say("household.aBlender"), within: say("household.aBlender") },
];

/** Height of the largest vessel of the shelf, px. */
const SHELF_PX = 130;
/** The longer side of a vessel that is being changed, px. */
const OPEN_PX = 210;

/** The vessels of the household to one scale; one that is opened is changed on its own drawing. */
export function Vessels({ vessels }: { vessels: VesselResponse[] }) {
  const add = useKeepVessel();
  const [openId, setOpenId] = useState<string | null>(null);
  const largest = Math.max(...vessels.map((v) => Math.max(v.heightCm, v.innerDiameterCm)), 1);
  const open = vessels.find((v) => v.id === openId);
  return (
    <section aria-labelledby="vessels">
      <h2 id="vessels" className="text-3xl">
        {say("household.vessels")}
      </h2>
      <ul className="mt-4 flex flex-wrap items-end gap-x-7 gap-y-5">
        {vessels.map((v) => (
          <li key={v.id} className="text-sm">
            <button
              type="button"
              className="text-left hover:bg-strip aria-expanded:bg-strip"
              aria-label={say("household.change", { name: v.name })}
              aria-expanded={v.id === openId}
              onClick={() => setOpenId(v.id === openId ? null : v.id)}
            >
              <Silhouette
                kind={v.kind}
                diameterCm={v.innerDiameterCm}
                heightCm={v.heightCm}
                pxPerCm={SHELF_PX / largest}
              />
              <span className="block font-semibold underline underline-offset-4">{v.name}</span>
              <span className="block text-muted">
                {apart("length", v.innerDiameterCm).number} × {centimetres(v.heightCm)},{" "}
                {millilitres(v.brimMl)}
                {v.companions.map((c) => `, ${COMPANIONS.find((k) => k.value === c)?.within ?? c}`).join("")}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {open && <OneVessel key={open.id} vessel={open} onClose={() => setOpenId(null)} />}
      <NewThing<VesselRequest>
        words={say("household.anotherVessel")}
        none={say("household.none")}
        start={{ name: "", kind: "pot" }}
        add={add}
      >
        {(draft, set, wrong) => <Asked draft={draft} set={set} wrong={wrong} />}
      </NewThing>
    </section>
  );
}

function OneVessel({ vessel, onClose }: { vessel: VesselResponse; onClose: () => void }) {
  const change = useKeepVessel();
  const remove = useRemoveVessel();
  const it = useInPlace<VesselResponse, VesselRequest>(
    vessel,
    { ...change, mutateAsync: (draft) => change.mutateAsync({ id: vessel.id, draft }) },
    requestOf,
  );
  const v = it.shown;
  return (
    <div
      ref={(at) => at?.scrollIntoView({ block: "nearest" })}
      className="mt-5 scroll-my-4 border-hairline border-y py-5"
    >
      <div className="flex flex-wrap items-end gap-x-8 gap-y-4">
        <Measured vessel={v} it={it} />
        <div className="min-w-56 grow basis-56">
          <p className="leading-[2.1rem]">
            <Said
              of="household.isAWideAndHigh"
              name={
                <span className="text-xl">
                  <NameWord label={say("household.nameOf", { name: v.name })} name={v.name} it={it} />
                </span>
              }
              kind={
                <Word
                  label={say("household.whatItIs")}
                  shown={KINDS.find((k) => k.value === v.kind)?.label ?? v.kind}
                >
                  {() => (
                    <OneOf
                      label={say("household.whatItIs")}
                      value={v.kind as Kind}
                      options={KINDS}
                      onPick={(kind) => it.keep({ kind })}
                    />
                  )}
                </Word>
              }
              wide={
                <NumberWord
                  label={say("household.wideInside")}
                  shown={centimetres(v.innerDiameterCm)}
                  value={v.innerDiameterCm}
                  of="length"
                  field="innerDiameterCm"
                  wrong={it.wrong}
                  onKeep={(innerDiameterCm, close) => it.keep({ innerDiameterCm, brimMl: undefined }, close)}
                />
              }
              high={
                <NumberWord
                  label={say("household.highInside")}
                  shown={centimetres(v.heightCm)}
                  value={v.heightCm}
                  of="length"
                  field="heightCm"
                  wrong={it.wrong}
                  onKeep={(heightCm, close) => it.keep({ heightCm, brimMl: undefined }, close)}
                />
              }
              holds={
                <NumberWord
                  label={say("household.fullToTheBrim")}
                  shown={millilitres(v.brimMl)}
                  value={v.brimMl}
                  of="volume"
                  field="brimMl"
                  wrong={it.wrong}
                  onKeep={(brimMl, close) => it.keep({ brimMl }, close)}
                />
              }
              companions={
                <Word
                  label={say("household.whatGoesWithIt")}
                  shown={
                    listed(v.companions.map((c) => COMPANIONS.find((k) => k.value === c)?.within ?? c)) ||
                    say("household.nothing")
                  }
                >
                  {() => (
                    <div className="w-72">
                      {COMPANIONS.map((c) => (
                        <label key={c.value} className="flex min-h-11 items-center gap-2">
                          <input
                            type="checkbox"
                            className="size-4 accent-[var(--ink)]"
                            checked={v.companions.includes(c.value)}
                            onChange={(e) =>
                              it.keep({
                                companions: (e.target.checked
                                  ? [...v.companions, c.value]
                                  : v.companions.filter((x) => x !== c.value)) as VesselRequest["companions"],
                              })
                            }
                          />
                          {c.label}
                        </label>
                      ))}
                    </div>
                  )}
                </Word>
              }
            />
          </p>
          <p className="text-muted text-sm">{say("household.measuredWithATapeInside")}</p>
          <p className="flex flex-wrap justify-between gap-x-5">
            <button type="button" className="min-h-11 underline underline-offset-4" onClick={onClose}>
              {say("household.done")}
            </button>
            <TakeAway
              name={v.name}
              error={remove.error}
              onTake={() => remove.mutate(v.id, { onSuccess: onClose })}
            />
          </p>
          {it.trouble}
        </div>
      </div>
    </div>
  );
}

/** The drawing of a vessel with its wall and its rim as handles. */
function Measured({ vessel: v, it }: { vessel: VesselResponse; it: InPlace<VesselResponse, VesselRequest> }) {
  // The scale stands while a wall is pulled and after it, so that a pull is seen for what it is.
  const [pxPerCm] = useState(OPEN_PX / Math.max(v.innerDiameterCm, v.heightCm));
  const snapped = (cm: number) => {
    const scale = scaleOf("length");
    const shown = Math.max(0, onScale(scale, cm));
    const step = stepAt(scale, shown);
    return inCore(scale, Math.max(step, Math.round(shown / step) * step));
  };
  const wide = useDrag("x", (px) => px !== 0 && toWide(v.innerDiameterCm + px / pxPerCm));
  const high = useDrag("y", (px) => px !== 0 && toHigh(v.heightCm - px / pxPerCm));
  const toWide = (cm: number) => it.keep({ innerDiameterCm: snapped(cm), brimMl: undefined });
  const toHigh = (cm: number) => it.keep({ heightCm: snapped(cm), brimMl: undefined });
  const d = snapped(v.innerDiameterCm + (wide.by ?? 0) / pxPerCm);
  const h = snapped(v.heightCm - (high.by ?? 0) / pxPerCm);
  const scale = scaleOf("length");
  const step = inCore(scale, stepAt(scale, onScale(scale, 10)));
  const grip =
    "absolute grid size-11 touch-none place-items-center rounded-full text-ember-text after:size-4 after:rounded-full after:border-2 after:border-ground after:bg-ember";
  const slider = (
    label: string,
    along: "horizontal" | "vertical",
    cm: number,
    set: (cm: number) => void,
  ) => ({
    role: "slider",
    "aria-orientation": along,
    tabIndex: 0,
    "aria-label": label,
    "aria-valuenow": Math.round(cm * 10) / 10,
    "aria-valuetext": centimetres(cm),
    onKeyDown: (e: React.KeyboardEvent) => {
      const by = stepOf(e);
      if (by !== 0) set(cm + by * step);
    },
  });
  return (
    <div className="relative mb-2 shrink-0">
      <Silhouette kind={v.kind} diameterCm={d} heightCm={h} pxPerCm={pxPerCm} />
      <div
        {...slider(say("household.pullTheWall"), "horizontal", v.innerDiameterCm, toWide)}
        className={`${grip} cursor-ew-resize`}
        style={{ left: BESIDE + d * pxPerCm - 22, top: ABOVE + (h * pxPerCm) / 2 - 22 }}
        {...wide.handlers}
      />
      <div
        {...slider(say("household.pullTheRim"), "vertical", v.heightCm, toHigh)}
        className={`${grip} cursor-ns-resize`}
        style={{ left: BESIDE + (d * pxPerCm) / 2 - 22, top: ABOVE - 22 }}
        {...high.handlers}
      />
      {(wide.by !== null || high.by !== null) && (
        <p className="figure absolute" style={{ left: BESIDE + 8, top: ABOVE + h * pxPerCm - 34 }}>
          {apart("length", d).number} × {centimetres(h)}
        </p>
      )}
    </div>
  );
}

/** What is asked of a new vessel, which is drawn as soon as it has its measures. */
function Asked({
  draft,
  set,
  wrong,
}: {
  draft: VesselRequest;
  set: (part: Partial<VesselRequest>) => void;
  wrong: (field: string) => string | undefined;
}) {
  const { innerDiameterCm: d, heightCm: h } = draft;
  return (
    <>
      {d && h && d > 0 && h > 0 ? (
        <Silhouette
          kind={draft.kind ?? "pot"}
          diameterCm={d}
          heightCm={h}
          pxPerCm={SHELF_PX / Math.max(d, h)}
        />
      ) : null}
      <SelectField
        className="w-28"
        label={say("household.whatItIs")}
        value={draft.kind ?? "pot"}
        options={KINDS}
        onChange={(kind) => set({ kind })}
      />
      <TextField
        className="w-48"
        label={say("household.name")}
        most={length.SHORT_NAME}
        value={draft.name ?? ""}
        wrong={wrong("name")}
        onChange={(name) => set({ name })}
      />
      <QuantityField
        className="w-28"
        label={say("household.wideInside")}
        of="length"
        value={d ?? undefined}
        wrong={wrong("innerDiameterCm")}
        onChange={(innerDiameterCm) => set({ innerDiameterCm })}
      />
      <QuantityField
        className="w-28"
        label={say("household.highInside")}
        of="length"
        value={h ?? undefined}
        wrong={wrong("heightCm")}
        onChange={(heightCm) => set({ heightCm })}
      />
      <QuantityField
        className="w-44"
        label={say("household.toTheBrimIfMeasured")}
        of="volume"
        value={draft.brimMl ?? undefined}
        wrong={wrong("brimMl")}
        onChange={(brimMl) => set({ brimMl })}
      />
    </>
  );
}

/** The whole of a vessel as it is sent, with one part changed; a brim is the server's when its walls are changed. */
const requestOf = (v: VesselResponse, part: Partial<VesselRequest>): VesselRequest => ({
  version: v.version,
  name: v.name,
  kind: v.kind as Kind,
  innerDiameterCm: v.innerDiameterCm,
  heightCm: v.heightCm,
  brimMl: v.brimMl,
  companions: v.companions as VesselRequest["companions"],
  ...part,
});
