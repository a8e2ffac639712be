import { say } from "../words/say";

/** How somebody is called: by sound, by the device's own ways, and in words. */

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

const AGAIN_MS = 20_000;

/** Calls for something that is due, again and again until it is ended. @returns ends it */
export function ring(words: string, brewId: string): () => void {
  strike();
  void notify(words, brewId);
  sayAloud(words);
  const again = setInterval(strike, AGAIN_MS);
  return () => clearInterval(again);
}

/** Asks once, when somebody presses Start: only then a system lets a page ask. */
export function mayRing() {
  if (typeof Notification !== "undefined" && Notification.permission === "default")
    void Notification.requestPermission();
}

/** Told by the system when the page is not looked at and the cook has allowed it; a touch leads to the brew. */
async function notify(text: string, brewId: string) {
  if (typeof Notification === "undefined" || Notification.permission !== "granted" || !document.hidden)
    return;
  const how: NotificationOptions & { renotify?: boolean; vibrate?: number[] } = {
    body: text,
    tag: `ember-${brewId}`,
    renotify: true,
    requireInteraction: true,
    vibrate: [200, 100, 200],
    icon: "/icon-192.png",
    data: { url: `/brew/${brewId}` },
  };
  try {
    const worker = await navigator.serviceWorker?.getRegistration();
    if (worker) await worker.showNotification(say("common.emberCup"), how);
    else new Notification(say("common.emberCup"), how);
  } catch {
    // A browser that allows neither; sound and title still tell.
  }
}

const VOICE = "ember-voice";

/** Whether steps are said aloud on this device. */
export const isSaid = () => localStorage.getItem(VOICE) === "on";
export const sayThem = (on: boolean) => {
  localStorage.setItem(VOICE, on ? "on" : "off");
  if (!on) window.speechSynthesis?.cancel();
};

/** Says something aloud, when the cook wants that. */
export function sayAloud(words: string) {
  if (!isSaid() || !window.speechSynthesis) return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(words));
}
