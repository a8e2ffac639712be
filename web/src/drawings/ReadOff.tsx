import { Slider } from "radix-ui";
import type { CurvePoint } from "../api/client";
import { celsius, millilitres, share } from "../parts/say";
import { say } from "../words/say";
import type { Scale } from "./lineParts";

/** Steps over the whole brew by an arrow key. */
const STEPS = 60;

/** What the curves say at a moment: under the pointer, or focused and moved by the arrow keys. */
export function ReadOff({
  cursor,
  at,
  onCursor,
  sayAt,
  endS,
  x,
  box,
  labelTop,
}: {
  cursor: number | null;
  at: CurvePoint | undefined;
  onCursor: (tS: number | null) => void;
  sayAt: (s: number) => string;
  endS: number;
  x: Scale;
  box: { left: number; top: number; width: number; height: number };
  labelTop: number;
}) {
  const moment = sayAt(cursor ?? 0);
  const figures = at && {
    first: `${celsius(at.tempC)} · ${millilitres(at.waterMl)}`,
    second: say("drawing.strengthAromaBitterness", {
      strength: share(at.body),
      aroma: share(at.aroma),
      bite: share(at.bite),
    }),
  };
  return (
    <>
      <Slider.Root
        className="no-print pointer-events-none absolute"
        style={box}
        min={0}
        max={Math.max(1, Math.round(endS))}
        step={Math.max(1, Math.round(endS / STEPS))}
        value={[Math.round(cursor ?? 0)]}
        onValueChange={([tS]) => tS !== undefined && onCursor(tS)}
      >
        <Slider.Thumb
          aria-label={say("drawing.readTheCurvesOff")}
          aria-valuetext={
            figures ? `${moment}: ${figures.first} · ${figures.second}` : say("drawing.nothingReadYet")
          }
          className="block h-full w-1 rounded-one"
          style={{ height: box.height }}
          onFocus={() => onCursor(cursor ?? 0)}
          onBlur={() => onCursor(null)}
          onKeyDown={(e) => e.key === "Escape" && onCursor(null)}
        />
      </Slider.Root>
      {figures && cursor !== null && (
        <div
          className="pointer-events-none absolute z-10 rounded-one border border-hairline bg-raised px-2 py-1 text-sm shadow"
          style={{ left: Math.min(Math.max(0, x(cursor) + 8), box.width - 210), top: labelTop }}
        >
          <strong>{moment}</strong> · {figures.first}
          <br />
          {figures.second}
        </div>
      )}
    </>
  );
}
