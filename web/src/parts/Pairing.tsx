import { useState } from "react";
import { usePair } from "../api/changes";
import { wrongOf } from "../api/client";
import * as length from "../api/length.gen";
import { useMe } from "../api/queries";
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
      <h1 className="text-3xl">Let this device in</h1>
      <p className="mt-2">
        On the kitchen’s own machine, open Household and ask for a code. It lives two minutes. What this
        device has confirmed and not yet sent is kept.
      </p>
      <TextField
        className="mt-6"
        label="What this device is called"
        placeholder="phone by the stove"
        most={length.SHORT_NAME}
        value={name}
        wrong={wrong("name")}
        onChange={setName}
      />
      <label className="mt-5 block text-muted text-sm" htmlFor="code">
        Code
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
        <Primary busy={pair.isPending}>Let me in</Primary>
      </div>
      {pair.error && <Trouble error={pair.error} />}
    </form>
  );
}
