import { useEffect, useState } from "react";
import { onJump, present } from "../api/present";

/** The present by the server's clock, renewed every `everyMs`. */
export function useNow(everyMs = 1000): Date {
  const [now, setNow] = useState(present);
  useEffect(() => onJump(() => setNow(present())), []);
  useEffect(() => {
    const id = setInterval(() => setNow(present()), everyMs);
    return () => clearInterval(id);
  }, [everyMs]);
  return now;
}
