import { useCloseCalendar, useRenewCalendar } from "../../api/changes";
import { useCalendarAddress } from "../../api/queries";
import { Secondary } from "../../parts/Field";
import { useNow } from "../../parts/now";
import { fullDate, moment } from "../../parts/say";
import { Trouble } from "../../parts/states";
import { Said } from "../../words/Said";
import { say } from "../../words/say";

/** The house's calendar: as a file, and at an address that a phone's calendar asks by itself. */
export function CalendarAddress() {
  const address = useCalendarAddress();
  const renew = useRenewCalendar();
  const close = useCloseCalendar();
  const now = useNow(60_000);
  const a = address.data;
  if (!a) return address.error ? <Trouble error={address.error} /> : null;
  const made = renew.data?.path;
  return (
    <section aria-labelledby="calendar">
      <h2 id="calendar" className="mt-8 text-3xl">
        {say("household.calendar")}
      </h2>
      <p className="mt-3 max-w-prose">
        <Said
          of="household.potsWithTheStepsThat"
          link={
            <a href="/api/calendar.ics" download="ember-cup.ics" className="underline underline-offset-4">
              {say("household.asAFile")}
            </a>
          }
        />
      </p>
      {a.until && (
        <p className="mt-2 max-w-prose">
          <Said
            of="household.thereIsOneUntil"
            day={fullDate(a.until)}
            asked={a.askedAt && moment(a.askedAt, now)}
          />
        </p>
      )}
      {made && (
        <p role="status" className="mt-2 max-w-prose border-water border-l-[5px] pl-3">
          <code className="wrap-anywhere">
            {window.location.origin}
            {made}
          </code>
          <span className="block text-muted text-sm">
            <Said of="household.itIsShownThisOnce" startKitchen={<code>./start --kitchen</code>} />
          </span>
        </p>
      )}
      {(renew.error || close.error) && <Trouble error={renew.error ?? close.error} />}
      <p className="mt-3 flex flex-wrap gap-3">
        <Secondary onClick={() => renew.mutate(undefined)} disabled={renew.isPending}>
          {a.until ? say("household.aNewAddress") : say("household.makeAnAddress")}
        </Secondary>
        {a.until && (
          <Secondary onClick={() => close.mutate(undefined, { onSuccess: () => renew.reset() })}>
            {say("household.closeIt")}
          </Secondary>
        )}
      </p>
    </section>
  );
}
