import { registerSW } from "virtual:pwa-register";
import { useEffect, useState } from "react";
import { useLocation } from "react-router";
import { Said } from "../words/Said";
import { say } from "../words/say";

const LOOK_AGAIN_MS = 3600_000;

/** A newer version of the pages is here: offered, and never put in by itself, as a brew may be running on this one. */
export function NewVersion() {
  const [take, setTake] = useState<(() => void) | null>(null);
  const live = useLocation().pathname.startsWith("/brew/");
  useEffect(() => {
    if (!("serviceWorker" in navigator)) return;
    const update = registerSW({
      onNeedRefresh: () => setTake(() => () => void update(true)),
      onRegisteredSW: (_, worker) => {
        if (worker) setInterval(() => void worker.update().catch(() => {}), LOOK_AGAIN_MS);
      },
    });
  }, []);
  if (!take || live) return null;
  return (
    <p role="status" className="no-print flex flex-wrap items-center gap-x-5 bg-strip px-4 text-sm md:px-6">
      <Said
        of="common.aNewerVersionOfEmber"
        button={
          <button type="button" className="min-h-11 underline underline-offset-4" onClick={take}>
            {say("common.takeItNow")}
          </button>
        }
      />
    </p>
  );
}
