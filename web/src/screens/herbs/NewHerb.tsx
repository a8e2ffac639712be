import { useState } from "react";
import { useNavigate } from "react-router";
import { useKeepOwnHerb } from "../../api/changes";
import type { OwnHerbDocument } from "../../api/client";
import * as length from "../../api/length.gen";
import { Primary, SelectField, TextField } from "../../parts/Field";
import { Panel } from "../../parts/Panel";
import { Trouble } from "../../parts/states";

const PARTS = [
  "flower",
  "leaf",
  "herb",
  "seed",
  "peel",
  "fruit",
  "bulb",
  "root",
  "rhizome",
  "bark",
  "twig",
  "fungus",
  "resin",
].map((p) => ({ value: p, label: p === "herb" ? "whole herb above ground" : p }));

/** The key of a herb by its name. */
export const slugOf = (name: string) =>
  name
    .toLowerCase()
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-|-$/g, "");

/** A herb that the materia does not know: its part lends it everything that is not said. */
export function NewHerb({ onClose }: { onClose: () => void }) {
  const navigate = useNavigate();
  const [doc, setDoc] = useState<OwnHerbDocument>({ common: "", latin: "", part: "leaf", use: "" });
  const keep = useKeepOwnHerb();
  const failure = keep.error;
  const slug = slugOf(doc.common ?? "");
  return (
    <Panel open onOpenChange={(o) => !o && onClose()} title="A herb of my own">
      <form
        onSubmit={(e) => {
          e.preventDefault();
          const kept = () => {
            navigate(`/herbs/${slug}`);
            onClose();
          };
          keep.mutate({ slug, doc }, { onSuccess: kept });
        }}
      >
        <div className="grid gap-4">
          <TextField
            label="Name"
            most={length.HERB_NAME}
            value={doc.common ?? ""}
            onChange={(common) => setDoc({ ...doc, common })}
          />
          <TextField
            label="Botanical name, if you are sure of it"
            most={length.HERB_NAME}
            value={doc.latin ?? ""}
            onChange={(latin) => setDoc({ ...doc, latin })}
          />
          <SelectField
            label="The part in the tin"
            value={doc.part ?? "leaf"}
            options={PARTS}
            onChange={(part) => setDoc({ ...doc, part: part as OwnHerbDocument["part"] })}
          />
          <TextField
            label="What it is traditionally used for"
            most={length.USE}
            value={doc.use ?? ""}
            onChange={(use) => setDoc({ ...doc, use })}
          />
        </div>
        <p className="mt-3 text-muted text-sm">
          Its dose and its dangers are not listed in the monographs and handbooks used here. If in doubt what
          plant it is, leave it out.
        </p>
        {failure !== null && <Trouble error={failure} />}
        <div className="mt-4">
          <Primary busy={slug === ""}>Keep it</Primary>
        </div>
      </form>
    </Panel>
  );
}
