import { useEffect, useState } from "react";
import { mayRing, ring } from "../../parts/bell";

const QUIET_ICON = "/icon.svg";
const DUE_ICON = `data:image/svg+xml,${encodeURIComponent(
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 24 24"><circle cx="12" cy="12" r="11" fill="#c93a12"/></svg>',
)}`;

function icon(href: string) {
  const link = document.querySelector<HTMLLinkElement>("link[rel~=icon]");
  if (link) {
    link.dataset.quiet ??= link.href;
    link.href = href === QUIET_ICON ? (link.dataset.quiet ?? href) : href;
  }
}

/** Keeps the screen awake while a brew is on the fire and the page is looked at. */
function useAwake() {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    const take = async () => {
      if (document.hidden) return;
      lock = await navigator.wakeLock?.request("screen").catch(() => undefined);
    };
    void take();
    document.addEventListener("visibilitychange", take);
    return () => {
      document.removeEventListener("visibilitychange", take);
      void lock?.release();
    };
  }, []);
}

/**
 * Sounds when `due` appears and again until it is confirmed or put off; title, icon and, when allowed, the system tell it
 * too.
 */
export function useAlarm(due: string | null, title: string, brewId: string) {
  useAwake();
  const [quietUntil, setQuietUntil] = useState(0);
  const ringing = due !== null && Date.now() >= quietUntil;
  useEffect(() => {
    document.title = due ? `● ${due}` : title;
  }, [due, title]);
  useEffect(() => {
    icon(due ? DUE_ICON : QUIET_ICON);
    return () => icon(QUIET_ICON);
  }, [due]);
  useEffect(() => {
    if (due && ringing) return ring(due, brewId);
  }, [due, ringing, brewId]);
  return {
    ringing,
    snooze: (minutes: number) => {
      setQuietUntil(Date.now() + minutes * 60_000);
      mayRing();
    },
  };
}
