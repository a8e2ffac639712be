import { useState } from "react";
import { useNavigate } from "react-router";
import { useKeepOwnHerb } from "../../api/changes";
import type { OwnHerbDocument } from "../../api/client";
import * as length from "../../api/length.gen";
import { Primary, SelectField, TextField } from "../../parts/Field";
import { Panel } from "../../parts/Panel";
import { Trouble } from "../../parts/states";
import { say } from "../../words/say";

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
].map((p) => ({ value: p, label: p === "herb" ? say("herbs.wholeHerbAboveGround") : p }));

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
    <Panel open onOpenChange={(o) => !o && onClose()} title={say("herbs.aHerbOfMyOwn")}>
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
            label={say("herbs.name")}
            most={length.HERB_NAME}
            value={doc.common ?? ""}
            onChange={(common) => setDoc({ ...doc, common })}
          />
          <TextField
            label={say("herbs.botanicalNameIfYouAre")}
            most={length.HERB_NAME}
            value={doc.latin ?? ""}
            onChange={(latin) => setDoc({ ...doc, latin })}
          />
          <SelectField
            label={say("herbs.thePartInTheTin")}
            value={doc.part ?? "leaf"}
            options={PARTS}
            onChange={(part) => setDoc({ ...doc, part: part as OwnHerbDocument["part"] })}
          />
          <TextField
            label={say("herbs.whatItIsTraditionallyUsed")}
            most={length.USE}
            value={doc.use ?? ""}
            onChange={(use) => setDoc({ ...doc, use })}
          />
        </div>
        <p className="mt-3 text-muted text-sm">{say("herbs.itsDoseAndItsDangers")}</p>
        {failure !== null && <Trouble error={failure} />}
        <div className="mt-4">
          <Primary busy={slug === ""}>{say("herbs.keepIt")}</Primary>
        </div>
      </form>
    </Panel>
  );
}
