import { useState } from "react";
import { useShare } from "../../api/queries";
import { Download, Secondary } from "../../parts/Field";
import { QrSquare } from "../../parts/QrSquare";
import { Trouble } from "../../parts/states";
import { Said } from "../../words/Said";
import { say } from "../../words/say";

const FORMS = [
  { as: "html", label: say("recipe.aPage"), gloss: say("recipe.opensInAnyBrowser") },
  { as: "text", label: say("recipe.aText"), gloss: say("recipe.forAMessage") },
  { as: "jsonld", label: say("recipe.structuredData"), gloss: say("recipe.forAnotherProgram") },
];

/** A recipe for a friend: a file that comes back whole, or a link that carries it. */
export function ShareRecipe({ id, name }: { id: string; name: string }) {
  const [linked, setLinked] = useState(false);
  return (
    <section aria-labelledby="give" className="mt-8 border-hairline border-t pt-4">
      <h2 id="give" className="text-xl">
        {say("recipe.forAFriend")}
      </h2>
      <p className="mt-1 max-w-prose text-muted text-sm">{say("recipe.anybodyReadsItInAnother")}</p>
      <p className="mt-2 flex flex-wrap gap-3">
        {FORMS.map((f) => (
          <Download key={f.as} href={`/api/recipes/${id}/file?as=${f.as}`} title={f.gloss}>
            <Said of="recipe.giveAs" name={f.label} />
          </Download>
        ))}
        {!linked && <Secondary onClick={() => setLinked(true)}>{say("recipe.asALink")}</Secondary>}
      </p>
      {linked && <ByLink id={id} name={name} />}
    </section>
  );
}

function ByLink({ id, name }: { id: string; name: string }) {
  const share = useShare(id);
  const [copied, setCopied] = useState(false);
  if (share.error) return <Trouble error={share.error} again={() => share.refetch()} />;
  if (!share.data) return null;
  const link = window.location.origin + share.data.path;
  return (
    <div className="mt-3 flex flex-wrap items-start gap-5">
      {share.data.square && (
        <QrSquare rows={share.data.square} label={say("recipe.theRecipeOfAsA", { name })} />
      )}
      <div className="min-w-0 flex-1 basis-72">
        <input
          readOnly
          aria-label={say("recipe.theLink")}
          value={link}
          onFocus={(e) => e.target.select()}
          className="min-h-11 w-full rounded-one border border-hairline bg-transparent px-3 font-mono text-sm"
        />
        <p className="mt-2 text-muted text-sm">
          {say("recipe.theWholeRecipeIsIn")} {!share.data.square && say("recipe.itIsTooLongFor")}
        </p>
        <p className="mt-2">
          <Secondary
            onClick={() => {
              void navigator.clipboard?.writeText(link).then(() => setCopied(true));
            }}
          >
            {copied ? say("recipe.copied") : say("recipe.copyTheLink")}
          </Secondary>
        </p>
      </div>
    </div>
  );
}
