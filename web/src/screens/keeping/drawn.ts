import { startTransition, useEffect, useState } from "react";

/** What a screen shows at once; the rest of the first page is drawn right after it. */
const AT_ONCE = 8;

/** So many lines are drawn at once, and the others of the page once these stand. */
export function useDrawn(most: number): number {
  const [drawn, setDrawn] = useState(AT_ONCE);
  useEffect(() => {
    startTransition(() => setDrawn(most));
  }, [most]);
  return Math.min(drawn, most);
}
