import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api, type OrderRequest } from "../../api/client";
import { keys } from "../../api/keys";
import { useDay } from "../../api/queries";
import { Primary } from "../../parts/Field";
import { clock, span } from "../../parts/say";
import { Word } from "../../parts/Word";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { atOn } from "./at";

/** The order once it has rested: other pots are asked after the sheet is redrawn, not with every step of a control. */
function useSettled(asked: OrderRequest): OrderRequest {
  const [settled, setSettled] = useState(asked);
  useEffect(() => {
    const id = setTimeout(() => setSettled(asked), 700);
    return () => clearTimeout(id);
  }, [asked]);
  return settled;
}

/** Beside other pots on the fire: when two hands-on steps would meet, what to start when instead. */
export function OneCook({
  asked,
  onAt,
  onBurner,
}: {
  asked: OrderRequest;
  onAt: (at: string) => void;
  onBurner: (id: string) => void;
}) {
  const open = useDay().data?.open.length ?? 0;
  const settled = useSettled(asked);
  const day = useQuery({
    queryKey: keys.oneCook(settled, open),
    queryFn: () => api.oneCook([settled]),
    enabled: open > 0,
    staleTime: 30_000,
  });
  const moved = day.data?.pots[0];
  const clash = day.data?.clashes[0];
  if (clash) {
    return (
      <p className="no-print text-right text-sm">
        <Word label={say("sheet.oneCook")} shown={say("sheet.notBeside", { with: clash.with })}>
          {() => <p className="max-w-72">{clash.why}</p>}
        </Word>
      </p>
    );
  }
  if (moved?.usualBurnerTaken && moved.burnerId) {
    const burner = moved.burnerId;
    return (
      <p className="no-print text-right text-sm">
        <Said
          of="sheet.itsBurnerIsTaken"
          other={
            <button
              type="button"
              className="relative min-h-9 font-semibold underline underline-offset-4 max-sm:min-h-11"
              onClick={() => onBurner(burner)}
            >
              {say("sheet.takeThe", { burner: moved.burner })}
            </button>
          }
        />
      </p>
    );
  }
  if (!moved || Math.abs(moved.movedS) < 45) return null;
  return (
    <p className="no-print text-right text-sm">
      <Said
        of="sheet.withTheOtherPotFits"
        fits={
          <Word
            label={say("sheet.withTheOtherPot")}
            shown={say("sheet.fitsFor", { clock: clock(moved.readyAt) })}
          >
            {(close) => (
              <div className="max-w-72">
                <p>
                  {moved.why}{" "}
                  {say("sheet.startedAtItFits", {
                    time: span(Math.abs(moved.movedS)),
                    earlier: moved.movedS < 0,
                    clock: clock(moved.startAt),
                  })}
                </p>
                <div className="mt-3">
                  <Primary
                    onClick={() => {
                      onAt(atOn(new Date(moved.readyAt)));
                      close();
                    }}
                  >
                    <Said of="sheet.makeItFor" clock={clock(moved.readyAt)} />
                  </Primary>
                </div>
              </div>
            )}
          </Word>
        }
      />
    </p>
  );
}
