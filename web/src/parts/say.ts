/** How numbers and times are said; one place, so that every screen says them alike. */

export function grams(g: number): string {
  if (g < 1) return g.toFixed(2);
  return g < 20 ? g.toFixed(1) : Math.round(g).toString();
}

/** Millilitres as a jug shows them: to 5 mL from 100 on. */
export function millilitres(ml: number): string {
  return `${ml >= 100 ? Math.round(ml / 5) * 5 : Math.round(ml)} mL`;
}

export function clock(at: Date | string): string {
  const d = typeof at === "string" ? new Date(at) : at;
  return `${String(d.getHours()).padStart(2, "0")}:${String(d.getMinutes()).padStart(2, "0")}`;
}

export function day(at: Date | string): string {
  const d = typeof at === "string" ? new Date(at) : at;
  return d.toLocaleDateString("en-GB", { weekday: "short", day: "numeric", month: "short" });
}

/** "20 min", "1 h 30", "8 h", "45 s". */
export function span(seconds: number): string {
  const s = Math.round(seconds);
  if (s < 60) return `${s} s`;
  const minutes = Math.round(s / 60);
  if (minutes < 60) return `${minutes} min`;
  if (minutes >= 48 * 60) return `${Math.round(minutes / 1440)} days`;
  const rest = minutes % 60;
  return rest === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${rest}`;
}

/** A timer: "14:20", "1:04:05"; a leading minus once it has run out. */
export function timer(seconds: number): string {
  const late = seconds < 0;
  const s = Math.abs(Math.round(seconds));
  const h = Math.floor(s / 3600);
  const m = Math.floor((s % 3600) / 60);
  const two = (n: number) => String(n).padStart(2, "0");
  return `${late && s > 0 ? "+" : ""}${h > 0 ? `${h}:${two(m)}` : m}:${two(s % 60)}`;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** A share as a percentage of the whole. */
export function share(x: number): string {
  return `${Math.round(x * 100)}\u00a0%`;
}

/** A number in workings: as many digits as help. */
export function figure(x: number): string {
  const a = Math.abs(x);
  if (a >= 10_000) return Math.round(x).toLocaleString("en-GB");
  if (a >= 100) return x.toFixed(0);
  if (a >= 10) return x.toFixed(1);
  return x === Math.round(x) ? String(x) : x.toFixed(a < 0.1 ? 3 : 2);
}

/** How strong a cup was felt to be, as it is asked and as it is shown. */
export const FELT = [
  { value: -2, label: "far too weak" },
  { value: -1, label: "a little weak" },
  { value: 0, label: "right" },
  { value: 1, label: "a little strong" },
  { value: 2, label: "far too strong" },
];
