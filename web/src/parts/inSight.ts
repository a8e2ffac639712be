import { type RefObject, useEffect, useRef } from "react";

/** Brings what a label was read of into sight, wherever on the page it stands. */
export function useInSight<E extends HTMLElement>(labelled: boolean): RefObject<E | null> {
  const it = useRef<E>(null);
  useEffect(() => {
    if (labelled) it.current?.scrollIntoView({ block: "center" });
  }, [labelled]);
  return it;
}
