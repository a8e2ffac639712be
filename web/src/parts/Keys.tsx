import { Dialog } from "radix-ui";
import { useEffect, useLayoutEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";

const GO: Record<string, { to: string; what: string }> = {
  t: { to: "/", what: "Today" },
  c: { to: "/choose", what: "Choose" },
  j: { to: "/keeping", what: "Keeping: jars and tins" },
  n: { to: "/notebook", what: "Notebook" },
  h: { to: "/herbs", what: "Herbs" },
  k: { to: "/household", what: "Household and kitchen" },
};

const HERE = [
  { key: "?", what: "This list; on a focused number: why?" },
  { key: "S", what: "On a sheet: start" },
  { key: "Z", what: "On a sheet: undo the last change" },
  { key: "M", what: "On a sheet: measure one by one" },
  { key: "P", what: "On a sheet: print" },
  { key: "← →", what: "On a handle of the drawing: move it; on the curves: read them off" },
  { key: "Space", what: "On a running brew: confirm the step" },
  { key: "L", what: "On a running brew: lid on or off" },
  { key: "R", what: "On a running brew: it smells ready" },
  { key: "U", what: "On a running brew: undo the last confirmation" },
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
          Keys ?
        </button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 w-[min(460px,92vw)] -translate-x-1/2 -translate-y-1/2 rounded-one border border-hairline bg-raised p-6 shadow-xl"
        >
          <Dialog.Title className="text-2xl">Keys</Dialog.Title>
          <dl className="mt-3 grid grid-cols-[5rem_1fr] gap-y-2">
            {[
              ...Object.entries(GO).map(([key, g]) => ({ key: key.toUpperCase(), what: `Go to ${g.what}` })),
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
          <Dialog.Close className="mt-5 min-h-11 rounded-one border border-ink px-4">Close</Dialog.Close>
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
