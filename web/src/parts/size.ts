import { useLayoutEffect, useState } from "react";

/** The width of an element, for drawings that are to scale in pixels; it may appear later than the component. */
export function useWidth(initial: number) {
  const [element, ref] = useState<HTMLElement | null>(null);
  const [width, setWidth] = useState(initial);
  useLayoutEffect(() => {
    if (!element) return;
    const measure = () => setWidth(element.clientWidth || initial);
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, [element, initial]);
  return { ref, width };
}
