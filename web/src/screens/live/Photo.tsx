import { usePhoto } from "../../api/changes";
import type { BrewResponse } from "../../api/client";
import { Trouble } from "../../parts/states";
import { say } from "../../words/say";

/** The one photo of a brew, kept in the household's own database. */
export function Photo({ brew }: { brew: BrewResponse }) {
  const photo = usePhoto(brew.id);
  return (
    <div className="mt-5">
      {brew.photo && (
        <img
          src={`/api/brews/${brew.id}/photo?${photo.submittedAt}`}
          alt={say("live.theCupOf", { name: brew.name })}
          className="max-h-72 rounded-one border border-hairline"
        />
      )}
      <p className="mt-2 flex gap-5">
        <label className="relative cursor-pointer max-sm:reach underline underline-offset-4 has-focus-visible:outline-3 has-focus-visible:outline-water">
          <input
            type="file"
            accept="image/*"
            className="sr-only"
            onChange={(e) => {
              const file = e.target.files?.[0];
              if (file) photo.mutate(file);
              e.target.value = "";
            }}
          />
          {brew.photo ? say("live.anotherPhoto") : say("live.addAPhoto")}
        </label>
        {brew.photo && (
          <button
            type="button"
            className="underline underline-offset-4"
            onClick={() => photo.mutate(undefined)}
          >
            {say("live.takeItOut")}
          </button>
        )}
      </p>
      {photo.error && <Trouble error={photo.error} />}
    </div>
  );
}
