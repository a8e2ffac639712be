import { useCloseCalendar, useRenewCalendar } from "../../api/changes";
import { useCalendarAddress } from "../../api/queries";
import { Secondary } from "../../parts/Field";
import { useNow } from "../../parts/now";
import { fullDate, moment } from "../../parts/say";
import { Trouble } from "../../parts/states";

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
        Calendar
      </h2>
      <p className="mt-3 max-w-prose">
        Pots with the steps that need hands, doses and rests, jars and tins that are to be used:{" "}
        <a href="/api/calendar.ics" download="ember-cup.ics" className="underline underline-offset-4">
          as a file
        </a>
        , or at an address that a calendar asks by itself. Whoever knows the address reads along.
      </p>
      {a.until && (
        <p className="mt-2 max-w-prose">
          There is one, until {fullDate(a.until)};{" "}
          {a.askedAt ? `asked last ${moment(a.askedAt, now)}` : "nobody has asked yet"}.
        </p>
      )}
      {made && (
        <p role="status" className="mt-2 max-w-prose border-water border-l-[5px] pl-3">
          <code className="wrap-anywhere">
            {window.location.origin}
            {made}
          </code>
          <span className="block text-muted text-sm">
            It is shown this once. The one before it is over. From another device it is asked on the house’s
            network, when Ember Cup is started with <code>./start --kitchen</code>.
          </span>
        </p>
      )}
      {(renew.error || close.error) && <Trouble error={renew.error ?? close.error} />}
      <p className="mt-3 flex flex-wrap gap-3">
        <Secondary onClick={() => renew.mutate(undefined)} disabled={renew.isPending}>
          {a.until ? "A new address" : "Make an address"}
        </Secondary>
        {a.until && (
          <Secondary onClick={() => close.mutate(undefined, { onSuccess: () => renew.reset() })}>
            Close it
          </Secondary>
        )}
      </p>
    </section>
  );
}
