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
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { NameWord, useInPlace } from "./inPlace";

/** Who of the house's devices is let in, and how another is. */
export function Devices() {
  const me = useMe().data;
  if (!me) return null;
  return (
    <section aria-labelledby="devices">
      <h2 id="devices" className="mt-8 text-3xl">
        {say("household.phonesAndTablets")}
      </h2>
      {me.network ? (
        <>
          <Way network={me.network} />
          {me.role === "cook" ? (
            <Known self={me.device?.id} />
          ) : (
            <p className="mt-3">{say("household.thisDeviceIsAHelpers")}</p>
          )}
        </>
      ) : (
        <p className="mt-2 max-w-md">
          <Said of="household.theKitchenIsOpenTo" startKitchen={<code>./start --kitchen</code>} />
        </p>
      )}
    </section>
  );
}

function Way({ network }: { network: NetworkLine }) {
  return (
    <div className="mt-3 flex flex-wrap items-start gap-6">
      <QrSquare
        rows={network.qr}
        label={say("household.theAddressAsASquare", { address: network.address })}
      />
      <ol className="max-w-2xl flex-1 basis-64 list-decimal pl-5 text-sm leading-relaxed">
        <li>
          <Said
            of="household.scanTheSquareOrType"
            address={<strong className="break-all">{network.address}</strong>}
          />
        </li>
        <li>
          <Said
            of="household.openAndInstallItAs"
            address={
              <strong className="break-all">
                <Said of="household.emberCupCrt" address={network.address} />
              </strong>
            }
          />
        </li>
        <li>
          <Said
            of="household.thePhoneShowsItsFingerprint"
            fingerprint={<span className="break-all font-mono text-[13px]">{network.fingerprint}</span>}
          />
        </li>
        <li>{say("household.openTheAddressAgainNo")}</li>
        <li>{say("household.askForACodeHere")}</li>
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
        <Secondary onClick={() => make.mutate("cook")}>{say("household.aCodeForACook")}</Secondary>
        <Secondary onClick={() => make.mutate("helper")}>{say("household.aCodeForAHelper")}</Secondary>
      </p>
      <p className="mt-1 max-w-md text-muted text-sm">{say("household.aCookMayDoEverything")}</p>
      {make.data && left > 0 && (
        <p role="status" className="mt-3">
          <span className="figure text-5xl tracking-widest">
            {make.data.code.slice(0, 3)} {make.data.code.slice(3)}
          </span>
          <span className="ml-4 text-muted">
            <Said of="household.forALeft" role={make.data.role} timer={timer(left)} />
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
            name={say("household.allOfThem")}
            words={say("household.sendAllAway")}
            sureWords={say("household.yesSendAllAway")}
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
        <Said
          of="household.deviceSentence"
          name={
            <NameWord label={say("household.nameOf", { name: it.shown.name })} name={it.shown.name} it={it} />
          }
          role={device.role}
          self={self}
          when={
            <span className="text-muted text-sm">
              <Said
                of="household.letInHereLast"
                paired={moment(device.pairedAt, new Date(presentMs()))}
                seen={moment(device.seenAt, new Date(presentMs()))}
              />
            </span>
          }
        />
      </span>
      <span className="text-sm">
        <TakeAway
          name={device.name}
          words={say("household.sendAway")}
          sureWords={say("household.yesSendAway", { name: device.name })}
          error={revoke.error}
          onTake={() => revoke.mutate(device.id)}
        />
      </span>
      {it.trouble}
    </div>
  );
}

const WORDS: Record<string, string> = {
  "code-made": say("household.aCodeWasAskedFor"),
  paired: say("household.letIn"),
  "code-wrong": say("household.aWrongCode"),
  "too-many-codes": say("household.tooManyWrongCodes"),
  renamed: say("household.renamed"),
  revoked: say("household.sentAway"),
  "session-unknown": say("household.cameWithASessionThat"),
  "not-allowed": say("household.wantedWhatItMayNot"),
  foreign: say("household.anotherPageOrAnotherName"),
};

/** What happened at the door. */
function Happened() {
  const [open, setOpen] = useState(false);
  const audit = useDoorAudit(open);
  return (
    <details className="mt-3 text-sm" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="min-h-11 cursor-pointer underline underline-offset-4">
        {say("household.whatHappenedAtTheDoor")}
      </summary>
      <ul>
        {audit.data?.map((l) => (
          <li key={l.at + l.what} className="border-hairline border-b py-1">
            {moment(l.at, new Date(presentMs()))}: {l.device ? `${l.device}, ` : ""}
            {WORDS[l.what] ?? l.what}{" "}
            <span className="text-muted">
              <Said of="household.fromAddress" address={l.address} />
            </span>
          </li>
        ))}
        {audit.data?.length === 0 && (
          <li>
            <Said of="household.nothingYet" clock={clock(new Date(presentMs()))} />
          </li>
        )}
      </ul>
    </details>
  );
}
