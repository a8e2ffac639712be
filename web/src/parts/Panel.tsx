import { Dialog } from "radix-ui";
import type { ReactNode } from "react";
import { say } from "../words/say";

/** A sheet that floats over the page for one task; Escape and Close leave it. */
export function Panel({
  open,
  onOpenChange,
  title,
  wide = false,
  children,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  wide?: boolean;
  children: ReactNode;
}) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <Dialog.Content
          aria-describedby={undefined}
          className={`fixed top-1/2 left-1/2 z-50 max-h-[94dvh] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-one border border-hairline bg-raised p-5 shadow-xl sm:p-6 ${wide ? "w-[min(860px,96vw)]" : "w-[min(520px,96vw)]"}`}
        >
          <div className="flex items-start justify-between gap-4">
            <Dialog.Title className="text-2xl">{title}</Dialog.Title>
            <Dialog.Close className="-mt-2 -mr-2 min-h-11 px-2 underline underline-offset-4">
              {say("common.close")}
            </Dialog.Close>
          </div>
          <div className="mt-3">{children}</div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
