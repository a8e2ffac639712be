import { useEffect, useState } from "react";

/** The present, renewed every `everyMs`; 0 stops it. */
export function useNow(everyMs = 1000): Date {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    if (everyMs === 0) return;
    const id = setInterval(() => setNow(new Date()), everyMs);
    return () => clearInterval(id);
  }, [everyMs]);
  return now;
}
