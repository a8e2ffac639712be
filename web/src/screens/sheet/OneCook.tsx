import { useQuery } from "@tanstack/react-query";
import { api, type PlanAsk } from "../../api/client";
import { useDay } from "../../api/queries";
import { clock, span } from "../../parts/say";

/** Beside other pots on the fire: when two hands-on steps would meet, what to start when instead. */
export function OneCook({ asked, onAt }: { asked: PlanAsk; onAt: (hhmm: string) => void }) {
  const open = useDay().data?.open.length ?? 0;
  const day = useQuery({
    queryKey: ["one-cook", asked, open],
    queryFn: () => api.oneCook([asked]),
    enabled: open > 0,
    staleTime: 30_000,
  });
  const moved = day.data?.pots[0];
  const clash = day.data?.clashes[0];
  if (clash) {
    return (
      <p className="mt-2 border-amber border-l-4 pl-3 text-[15px]">
        <strong className="text-amber-text">Beside {clash.with}</strong> {clash.why}
      </p>
    );
  }
  if (!moved || Math.abs(moved.movedS) < 45) return null;
  const way = moved.movedS < 0 ? "earlier" : "later";
  return (
    <p className="no-print mt-2 border-amber border-l-4 pl-3 text-[15px]">
      <strong className="text-amber-text">Two pots, two hands.</strong> {moved.why} Started{" "}
      {span(Math.abs(moved.movedS))} {way}, at {clock(moved.startAt)}, it fits.{" "}
      <button
        type="button"
        className="min-h-9 underline underline-offset-4"
        onClick={() => onAt(clock(moved.readyAt))}
      >
        Make it for {clock(moved.readyAt)}
      </button>
    </p>
  );
}
