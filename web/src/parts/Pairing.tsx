import { useState } from "react";
import { usePair } from "../api/changes";
import { wrongOf } from "../api/client";
import * as length from "../api/length.gen";
import { useMe } from "../api/queries";
import { say } from "../words/say";
import { Primary, TextField } from "./Field";
import { Trouble } from "./states";

/** A device of the house that is not let in yet: its name and a code are all that is asked. */
export function Pairing() {
  const pair = usePair();
  // It may be let in already, by another tab or as the network comes back.
  useMe(3_000);
  const [code, setCode] = useState("");
  const [name, setName] = useState("");
  const wrong = wrongOf(pair.error);
  return (
    <form
      className="mx-auto max-w-md pt-10"
      onSubmit={(e) => {
        e.preventDefault();
        pair.mutate({ code, name });
      }}
    >
      <h1 className="text-3xl">{say("common.letThisDeviceIn")}</h1>
      <p className="mt-2">{say("common.onTheKitchensOwnMachine")}</p>
      <TextField
        className="mt-6"
        label={say("common.whatThisDeviceIsCalled")}
        placeholder={say("common.phoneByTheStove")}
        most={length.SHORT_NAME}
        value={name}
        wrong={wrong("name")}
        onChange={setName}
      />
      <label className="mt-5 block text-muted text-sm" htmlFor="code">
        {say("common.code")}
      </label>
      <input
        id="code"
        inputMode="numeric"
        autoComplete="one-time-code"
        maxLength={9}
        value={code}
        onChange={(e) => setCode(e.target.value)}
        className="figure min-h-16 w-full border-ink border-b-2 bg-transparent px-1 text-5xl tracking-widest"
      />
      <div className="mt-6">
        <Primary busy={pair.isPending}>{say("common.letMeIn")}</Primary>
      </div>
      {pair.error && <Trouble error={pair.error} />}
    </form>
  );
}
