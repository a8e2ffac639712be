import { Dialog } from "radix-ui";
import { useEffect, useLayoutEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { say } from "../words/say";

const GO: Record<string, { to: string; what: string }> = {
  t: { to: "/", what: say("common.today") },
  c: { to: "/choose", what: say("common.choose") },
  j: { to: "/keeping", what: say("common.keepingJarsAndTins") },
  n: { to: "/notebook", what: say("common.notebook") },
  h: { to: "/herbs", what: say("common.herbs") },
  k: { to: "/household", what: say("common.householdAndKitchen") },
};

const HERE = [
  { key: "?", what: say("common.thisListOnAFocused") },
  { key: "S", what: say("common.onASheetStart") },
  { key: "Z", what: say("common.onASheetUndoThe") },
  { key: "M", what: say("common.onASheetMeasureOne") },
  { key: "P", what: say("common.onASheetPrint") },
  { key: "← →", what: say("common.onAHandleOfThe") },
  { key: "Space", what: say("common.onARunningBrewConfirm") },
  { key: "L", what: say("common.onARunningBrewLid") },
  { key: "R", what: say("common.onARunningBrewIt") },
  { key: "U", what: say("common.onARunningBrewUndo") },
];

function typing(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

/** Shortcuts of our own and the list of them. */
export function Keys() {
  const [open, setOpen] = useState(false);
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (typing(e.target) || e.ctrlKey || e.metaKey || e.altKey || e.defaultPrevented) return;
      if (e.key === "?" && !(e.target instanceof HTMLButtonElement)) setOpen(true);
      const place = GO[e.key];
      if (place) navigate(place.to);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [navigate]);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <button type="button" className="whitespace-nowrap hover:underline max-sm:hidden">
          {say("common.keys")}
        </button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 w-[min(460px,92vw)] -translate-x-1/2 -translate-y-1/2 rounded-one border border-hairline bg-raised p-6 shadow-xl"
        >
          <Dialog.Title className="text-2xl">{say("common.keysTitle")}</Dialog.Title>
          <dl className="mt-3 grid grid-cols-[5rem_1fr] gap-y-2">
            {[
              ...Object.entries(GO).map(([key, g]) => ({
                key: key.toUpperCase(),
                what: say("common.goTo", { what: g.what }),
              })),
              ...HERE,
            ].map((k) => (
              <div key={k.key} className="contents">
                <dt>
                  <kbd className="rounded-one border border-hairline px-2 py-0.5 font-semibold">{k.key}</kbd>
                </dt>
                <dd>{k.what}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close className="mt-5 min-h-11 rounded-one border border-ink px-4">
            {say("common.close")}
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/**
 * Runs something on a key of the page, unless somebody is typing. What it runs is renewed together with what is seen: a key
 * pressed at once on a new step means that step.
 */
export function useKey(key: string, run: () => void) {
  const latest = useRef(run);
  useLayoutEffect(() => {
    latest.current = run;
  });
  useLayoutEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (typing(e.target) || e.ctrlKey || e.metaKey || e.altKey) return;
      if (key === " " && e.target instanceof HTMLElement && e.target.closest("button, a, [role=radio]"))
        return;
      if (e.key.toLowerCase() === key) {
        e.preventDefault();
        latest.current();
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [key]);
}
