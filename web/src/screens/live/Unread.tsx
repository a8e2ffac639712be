import { presentMs } from "../../api/present";
import { useNow } from "../../parts/now";
import { Said } from "../../words/Said";

/** An instrument that is not heard any more: since how long, counted from its last reading. */
export function Unread({ since }: { since: Date | null }) {
  useNow(1000);
  if (!since) return null;
  return (
    <p role="status" className="text-amber-text">
      <Said of="live.noReadingForSAsking" presentMs={Math.round((presentMs() - since.getTime()) / 1000)} />
    </p>
  );
}
