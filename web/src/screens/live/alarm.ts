import { useEffect, useState } from "react";

const AGAIN_MS = 20_000;

let audio: AudioContext | undefined;

/** Two soft strikes, made by the page itself. */
function strike() {
  try {
    audio ??= new AudioContext();
    for (const [delay, hertz] of [
      [0, 660],
      [0.35, 880],
    ] as const) {
      const tone = audio.createOscillator();
      const gain = audio.createGain();
      tone.frequency.value = hertz;
      gain.gain.setValueAtTime(0.0001, audio.currentTime + delay);
      gain.gain.exponentialRampToValueAtTime(0.3, audio.currentTime + delay + 0.02);
      gain.gain.exponentialRampToValueAtTime(0.0001, audio.currentTime + delay + 0.9);
      tone.connect(gain).connect(audio.destination);
      tone.start(audio.currentTime + delay);
      tone.stop(audio.currentTime + delay + 1);
    }
  } catch {
    // No sound on this device; title and screen still tell.
  }
  if (navigator.userActivation?.hasBeenActive) navigator.vibrate?.([200, 100, 200]);
}

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

/** Told by the system when the page is not looked at and the cook has allowed it. */
function notify(text: string) {
  if (typeof Notification === "undefined" || Notification.permission !== "granted" || !document.hidden)
    return;
  try {
    new Notification("Ember Cup", { body: text, tag: "ember-due" });
  } catch {
    // Some browsers only allow it from a service worker; sound and title still tell.
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
export function useAlarm(due: string | null, title: string) {
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
    if (!due || !ringing) return;
    strike();
    notify(due);
    const id = setInterval(strike, AGAIN_MS);
    return () => clearInterval(id);
  }, [due, ringing]);
  return {
    ringing,
    snooze: (minutes: number) => {
      setQuietUntil(Date.now() + minutes * 60_000);
      if (typeof Notification !== "undefined" && Notification.permission === "default")
        void Notification.requestPermission();
    },
  };
}
