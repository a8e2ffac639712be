import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";

/**
 * Dragging one thing along one axis by pointer. `by` is how far it has been dragged, px, and null while it is not;
 * `onDrop` hears it once, when the pointer is let go. A drag that the system cancels is forgotten.
 */
export function useDrag(axis: "x" | "y", onDrop: (by: number) => void) {
  const from = useRef<{ at: number; by: number } | null>(null);
  const [by, setBy] = useState<number | null>(null);
  const at = (e: PointerEvent) => (axis === "x" ? e.clientX : e.clientY);
  const end = () => {
    from.current = null;
    setBy(null);
  };
  return {
    by,
    handlers: {
      onPointerDown: (e: PointerEvent) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        from.current = { at: at(e), by: 0 };
        setBy(0);
      },
      onPointerMove: (e: PointerEvent) => {
        if (!from.current) return;
        from.current.by = at(e) - from.current.at;
        setBy(from.current.by);
      },
      onPointerUp: () => {
        const dropped = from.current?.by;
        end();
        if (dropped !== undefined) onDrop(dropped);
      },
      onPointerCancel: end,
    },
  };
}

/** What an arrow key moves a slider by: one step up or down; nothing for any other key. The page does not scroll by it. */
export function stepOf(e: KeyboardEvent): -1 | 0 | 1 {
  const by =
    e.key === "ArrowRight" || e.key === "ArrowUp"
      ? 1
      : e.key === "ArrowLeft" || e.key === "ArrowDown"
        ? -1
        : 0;
  if (by !== 0) e.preventDefault();
  return by;
}
