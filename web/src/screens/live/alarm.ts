import { useEffect, useRef } from "react";

const SECOND_MS = 1000;
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

/** Sounds when `due` appears and again until it is confirmed; the title tells the time in the meantime. */
export function useAlarm(due: string | null, title: string) {
  const shown = useRef(document.title);
  useEffect(() => {
    shown.current = title;
    const id = setInterval(() => {
      document.title = due ? `● ${due}` : shown.current;
    }, SECOND_MS);
    return () => clearInterval(id);
  }, [due, title]);
  useEffect(() => {
    if (!due) return;
    strike();
    const id = setInterval(strike, AGAIN_MS);
    return () => clearInterval(id);
  }, [due]);
}
