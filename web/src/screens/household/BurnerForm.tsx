import { useState } from "react";
import { type Kept, useKeepBurner, useRemoveBurner } from "../../api/changes";
import type { BurnerRequest, BurnerResponse } from "../../api/client";
import { NumberField, TextField } from "../../parts/Field";
import { KeepingForm, useKeeping } from "./keeping";

/** A burner by the power that reaches the water at its three settings. */
export function BurnerForm({ burner, onClose }: { burner?: BurnerResponse; onClose: () => void }) {
  const [draft, setDraft] = useState<BurnerRequest>(
    burner ?? { name: "", lowW: 250, mediumW: 700, highW: 1200 },
  );
  const remove = useRemoveBurner();
  const keeping = useKeeping<BurnerResponse, Kept<BurnerRequest>>(
    useKeepBurner(),
    (version) => ({
      id: burner?.id,
      draft: { version, name: draft.name, lowW: draft.lowW, mediumW: draft.mediumW, highW: draft.highW },
    }),
    onClose,
  );
  const set = (part: Partial<BurnerRequest>) => setDraft({ ...draft, ...part });
  return (
    <KeepingForm
      title={burner ? burner.name : "A burner"}
      version={draft.version ?? undefined}
      keeping={keeping}
      onClose={onClose}
      onTheirs={(b) => setDraft(b)}
      remove={burner && { id: burner.id, change: remove }}
    >
      <TextField
        label="Name"
        most={60}
        value={draft.name ?? ""}
        wrong={keeping.wrong("name")}
        onChange={(name) => set({ name })}
      />
      <div className="mt-4 grid grid-cols-3 gap-4">
        <NumberField
          label="Low"
          unit="W"
          value={draft.lowW}
          wrong={keeping.wrong("lowW")}
          onChange={(lowW) => set({ lowW })}
        />
        <NumberField
          label="Medium"
          unit="W"
          value={draft.mediumW}
          wrong={keeping.wrong("mediumW")}
          onChange={(mediumW) => set({ mediumW })}
        />
        <NumberField
          label="High"
          unit="W"
          value={draft.highW}
          wrong={keeping.wrong("highW")}
          onChange={(highW) => set({ highW })}
        />
      </div>
      <p className="mt-3 text-muted text-sm">
        Two small measurements tell these better than any label: “measure it”.
      </p>
    </KeepingForm>
  );
}
