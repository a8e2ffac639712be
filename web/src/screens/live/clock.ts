import { useCallback, useMemo } from "react";
import type { BrewResponse } from "../../api/client";

/**
 * The brew's own clock, ms: the server's as of its last answer, running on at the brew's speed. A wrong clock in the browser
 * does not matter: only how much of it has gone by is used.
 */
export function useBrewClock(brew: BrewResponse): () => number {
  const seen = useMemo(
    () => ({ server: new Date(brew.serverNow).getTime(), here: Date.now(), ran: performance.now() }),
    [brew.serverNow],
  );
  return useCallback(() => {
    // A clock that is set back stops nothing: what has run since goes on; after a sleep the clock knows more.
    const gone = Math.max(Date.now() - seen.here, performance.now() - seen.ran);
    return seen.server + gone * brew.clockSpeed;
  }, [seen, brew.clockSpeed]);
}
