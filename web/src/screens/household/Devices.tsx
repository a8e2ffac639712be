import { useState } from "react";
import { useMakeCode, useRenameDevice, useRevoke } from "../../api/changes";
import type { Device, NetworkLine } from "../../api/client";
import { presentMs } from "../../api/present";
import { useDevices, useDoorAudit, useMe } from "../../api/queries";
import { Secondary } from "../../parts/Field";
import { useNow } from "../../parts/now";
import { QrSquare } from "../../parts/QrSquare";
import { clock, moment, timer } from "../../parts/say";
import { Trouble } from "../../parts/states";
import { TakeAway } from "../../parts/TakeAway";
import { NameWord, useInPlace } from "./inPlace";

/** Who of the house's devices is let in, and how another is. */
export function Devices() {
  const me = useMe().data;
  if (!me) return null;
  return (
    <section aria-labelledby="devices">
      <h2 id="devices" className="mt-8 text-3xl">
        Phones and tablets
      </h2>
      {me.network ? (
        <>
          <Way network={me.network} />
          {me.role === "cook" ? (
            <Known self={me.device?.id} />
          ) : (
            <p className="mt-3">This device is a helper’s; the cook lets others in.</p>
          )}
        </>
      ) : (
        <p className="mt-2 max-w-md">
          The kitchen is open to this machine only. Started with <code>./start --kitchen</code> it can be
          reached from the house’s network, by devices that are let in one by one.
        </p>
      )}
    </section>
  );
}

function Way({ network }: { network: NetworkLine }) {
  return (
    <div className="mt-3 flex flex-wrap items-start gap-6">
      <QrSquare rows={network.qr} label={`The address ${network.address} as a square for a phone’s camera`} />
      <ol className="max-w-2xl flex-1 basis-64 list-decimal pl-5 text-sm leading-relaxed">
        <li>
          Scan the square, or type <strong className="break-all">{network.address}</strong>. The phone warns,
          as it does not know this kitchen yet: go on.
        </li>
        <li>
          Open <strong className="break-all">{network.address}/ember-cup.crt</strong> and install it as a
          certificate authority, for websites.
        </li>
        <li>
          The phone shows its fingerprint. It must be{" "}
          <span className="break-all font-mono text-[13px]">{network.fingerprint}</span>
        </li>
        <li>Open the address again: no warning any more.</li>
        <li>Ask for a code here and type it there within two minutes.</li>
      </ol>
    </div>
  );
}

function Known({ self }: { self: string | undefined }) {
  const devices = useDevices();
  const make = useMakeCode();
  const revoke = useRevoke();
  useNow(1000);
  const left = make.data ? (Date.parse(make.data.expiresAt) - presentMs()) / 1000 : 0;
  return (
    <>
      <p className="mt-4 flex flex-wrap gap-3">
        <Secondary onClick={() => make.mutate("cook")}>A code for a cook</Secondary>
        <Secondary onClick={() => make.mutate("helper")}>A code for a helper</Secondary>
      </p>
      <p className="mt-1 max-w-md text-muted text-sm">
        A cook may do everything. A helper takes part in brews and notes: nothing is deleted, nothing of the
        household changed.
      </p>
      {make.data && left > 0 && (
        <p role="status" className="mt-3">
          <span className="figure text-5xl tracking-widest">
            {make.data.code.slice(0, 3)} {make.data.code.slice(3)}
          </span>
          <span className="ml-4 text-muted">
            for a {make.data.role}, {timer(left)} left
          </span>
        </p>
      )}
      {make.error && <Trouble error={make.error} />}
      <ul className="mt-4 max-w-3xl border-hairline border-t">
        {devices.data?.map((d) => (
          <li key={d.id} className="border-hairline border-b py-2">
            <OneDevice device={d} self={d.id === self} />
          </li>
        ))}
      </ul>
      {(devices.data?.length ?? 0) > 1 && (
        <p className="text-sm">
          <TakeAway
            name="all of them"
            words="send all away"
            sureWords="Yes, send all away"
            error={revoke.error}
            onTake={() => revoke.mutate(undefined)}
          />
        </p>
      )}
      <Happened />
    </>
  );
}

function OneDevice({ device, self }: { device: Device; self: boolean }) {
  const change = useRenameDevice();
  const revoke = useRevoke();
  const it = useInPlace<Device, { version: number; name: string }>(
    device,
    { ...change, mutateAsync: (body) => change.mutateAsync({ id: device.id, ...body }) },
    (d, part) => ({ version: d.version, name: d.name, ...part }),
  );
  return (
    <div className="flex flex-wrap items-baseline justify-between gap-x-5">
      <span>
        <NameWord label={`Name of ${it.shown.name}`} name={it.shown.name} it={it} />, a {device.role}’s
        {self && ", this one"}{" "}
        <span className="text-muted text-sm">
          let in {moment(device.pairedAt, new Date(presentMs()))}, here last{" "}
          {moment(device.seenAt, new Date(presentMs()))}
        </span>
      </span>
      <span className="text-sm">
        <TakeAway
          name={device.name}
          words="send away"
          sureWords={`Yes, send ${device.name} away`}
          error={revoke.error}
          onTake={() => revoke.mutate(device.id)}
        />
      </span>
      {it.trouble}
    </div>
  );
}

const WORDS: Record<string, string> = {
  "code-made": "a code was asked for",
  paired: "let in",
  "code-wrong": "a wrong code",
  "too-many-codes": "too many wrong codes",
  renamed: "renamed",
  revoked: "sent away",
  "session-unknown": "came with a session that is not known",
  "not-allowed": "wanted what it may not",
  foreign: "another page or another name for this address",
};

/** What happened at the door. */
function Happened() {
  const [open, setOpen] = useState(false);
  const audit = useDoorAudit(open);
  return (
    <details className="mt-3 text-sm" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="min-h-11 cursor-pointer underline underline-offset-4">
        What happened at the door
      </summary>
      <ul>
        {audit.data?.map((l) => (
          <li key={l.at + l.what} className="border-hairline border-b py-1">
            {moment(l.at, new Date(presentMs()))}: {l.device ? `${l.device}, ` : ""}
            {WORDS[l.what] ?? l.what} <span className="text-muted">from {l.address}</span>
          </li>
        ))}
        {audit.data?.length === 0 && <li>Nothing yet, {clock(new Date(presentMs()))}.</li>}
      </ul>
    </details>
  );
}
