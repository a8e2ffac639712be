import type { KeyboardEvent } from "react";
import type { CurvePoint } from "../api/client";
import { clock, millilitres, share } from "../parts/say";
import type { Scale } from "./lineParts";

/** Steps over the whole brew by an arrow key, and by a page key. */
const STEPS = 60;
const PAGE = 6;

/** What the curves say at a moment: under the pointer, or focused and moved by the arrow keys. */
export function ReadOff({
  cursor,
  at,
  onCursor,
  start,
  endS,
  x,
  box,
  labelTop,
}: {
  cursor: number | null;
  at: CurvePoint | undefined;
  onCursor: (tS: number | null) => void;
  start: Date;
  endS: number;
  x: Scale;
  box: { left: number; top: number; width: number; height: number };
  labelTop: number;
}) {
  const onKey = (e: KeyboardEvent) => {
    const step = endS / STEPS;
    const now = cursor ?? 0;
    const to: Record<string, number | null> = {
      ArrowRight: now + step,
      ArrowLeft: now - step,
      PageUp: now + PAGE * step,
      PageDown: now - PAGE * step,
      Home: 0,
      End: endS,
      Escape: null,
    };
    const next = to[e.key];
    if (next === undefined) return;
    e.preventDefault();
    onCursor(next === null ? null : Math.max(0, Math.min(endS, next)));
  };
  const moment = clock(new Date(start.getTime() + (cursor ?? 0) * 1000));
  const figures = at && {
    first: `${Math.round(at.tempC)} °C · ${millilitres(at.waterMl)}`,
    second: `strength ${at.body.toFixed(2)} · aroma ${share(at.aroma)} · bite ${share(at.bite)}`,
  };
  return (
    <>
      <div
        role="slider"
        tabIndex={0}
        aria-label="Read the curves off"
        aria-valuemin={0}
        aria-valuemax={Math.round(endS)}
        aria-valuenow={Math.round(cursor ?? 0)}
        aria-valuetext={figures ? `${moment}: ${figures.first} · ${figures.second}` : "nothing read yet"}
        className="no-print pointer-events-none absolute rounded-one"
        style={box}
        onKeyDown={onKey}
        onFocus={() => onCursor(cursor ?? 0)}
        onBlur={() => onCursor(null)}
      />
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
