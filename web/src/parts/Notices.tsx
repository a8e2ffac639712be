import { type ReactNode, useEffect, useLayoutEffect, useRef, useState } from "react";
import { createPortal, flushSync } from "react-dom";
import { useLocation } from "react-router";

const ID = "notices";

let drawn = false;

/** From now on a notice moves nothing: the screen was painted, and a finger may be on its way to a button of it. */
export function useDrawn(stands: boolean) {
  useEffect(() => {
    if (stands) drawn = true;
  }, [stands]);
}

/**
 * What comes and goes by itself above a screen: alarms, what is kept here, what was not taken. It stays in sight, and the screen
 * stays where it is on the glass: what a notice takes is scrolled, and what it gives back is kept empty until the next screen.
 */
export function Notices({ children }: { children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  const height = useRef(0);
  const [spare, setSpare] = useState(0);
  const spared = useRef(0);
  const here = useLocation().pathname;
  const spareNow = (px: number) => {
    spared.current = px;
    setSpare(px);
  };
  useLayoutEffect(() => spareNow(0), [here]);
  useEffect(() => {
    const el = box.current;
    if (!el) return;
    const observer = new ResizeObserver(() => {
      const more = el.offsetHeight - height.current;
      height.current = el.offsetHeight;
      if (!drawn || more === 0) return;
      const into = Math.min(spared.current, more);
      // In this frame: what is drawn a frame later has moved meanwhile.
      if (into > 0) flushSync(() => spareNow(spared.current - into));
      const by = more - Math.max(0, into);
      const back = Math.min(window.scrollY, -by);
      if (by > 0) {
        // A screen shorter than the glass has nothing to scroll by: it gets it.
        if (el.parentElement) el.parentElement.style.minHeight = `calc(100dvh + ${el.offsetHeight}px)`;
        window.scrollBy(0, by);
      }
      if (by < 0) {
        window.scrollBy(0, -back);
        flushSync(() => spareNow(spared.current - by - back));
      }
    });
    observer.observe(el);
    return () => observer.disconnect();
  }, []);
  return (
    <>
      <div ref={box} id={ID} className="no-print sticky top-0 z-30 shrink-0 bg-ground">
        {children}
      </div>
      <div aria-hidden className="shrink-0" style={{ height: spare }} />
    </>
  );
}

/** A notice that a screen has to give, among the others. */
export function Notice({ children }: { children: ReactNode }) {
  const place = document.getElementById(ID);
  return place ? createPortal(children, place) : children;
}
