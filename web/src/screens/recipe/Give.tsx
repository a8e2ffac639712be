import { useState } from "react";
import { useShare } from "../../api/queries";
import { Download, Secondary } from "../../parts/Field";
import { QrSquare } from "../../parts/QrSquare";
import { Trouble } from "../../parts/states";

const FORMS = [
  { as: "html", label: "a page", gloss: "opens in any browser" },
  { as: "text", label: "a text", gloss: "for a message" },
  { as: "jsonld", label: "structured data", gloss: "for another program" },
];

/** A recipe for a friend: a file that comes back whole, or a link that carries it. */
export function Give({ id, name }: { id: string; name: string }) {
  const [linked, setLinked] = useState(false);
  return (
    <section aria-labelledby="give" className="mt-8 border-hairline border-t pt-4">
      <h2 id="give" className="text-xl">
        For a friend
      </h2>
      <p className="mt-1 max-w-prose text-muted text-sm">
        Anybody reads it; in another Ember Cup it comes back as it is, by “Open a saved page or text”. Who
        drinks and what was brewed stay here.
      </p>
      <p className="mt-2 flex flex-wrap gap-3">
        {FORMS.map((f) => (
          <Download key={f.as} href={`/api/recipes/${id}/file?as=${f.as}`} title={f.gloss}>
            As {f.label}
          </Download>
        ))}
        {!linked && <Secondary onClick={() => setLinked(true)}>As a link</Secondary>}
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
        <QrSquare rows={share.data.square} label={`The recipe of ${name} as a square for a camera`} />
      )}
      <div className="min-w-0 flex-1 basis-72">
        <input
          readOnly
          aria-label="The link"
          value={link}
          onFocus={(e) => e.target.select()}
          className="min-h-11 w-full rounded-one border border-hairline bg-transparent px-3 font-mono text-sm"
        />
        <p className="mt-2 text-muted text-sm">
          The whole recipe is in it; nothing is kept anywhere for it.
          {!share.data.square && " It is too long for a square: give it as a file, or send the link."}
        </p>
        <p className="mt-2">
          <Secondary
            onClick={() => {
              void navigator.clipboard?.writeText(link).then(() => setCopied(true));
            }}
          >
            {copied ? "Copied" : "Copy the link"}
          </Secondary>
        </p>
      </div>
    </div>
  );
}
