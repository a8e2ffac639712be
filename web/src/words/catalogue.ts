import type english from "./en.json";

/** What is said, by what it means: "sheet.startNow". */
export type Key = keyof typeof english;

/** Patterns of ICU MessageFormat by their keys, in one language. */
export type Catalogue = Record<Key, string>;

/** One file a language; a further language is a file more. */
const FILES = import.meta.glob<Catalogue>("./*.json", { import: "default" });
const FALLBACK = "en";

/** Languages that there is a catalogue of, by their codes. */
export const LANGUAGES = Object.keys(FILES).map((file) => file.slice(2, -5));

/** What this device was told to speak, else what its browser speaks, where there is a catalogue of it. */
function wanted(): string {
  const told = typeof localStorage === "undefined" ? null : localStorage.getItem("ember-language");
  const asked = [told, ...((typeof navigator !== "undefined" && navigator.languages) || [])];
  const known = asked.map((tag) => tag?.split("-")[0] ?? "").find((code) => LANGUAGES.includes(code));
  return known ?? FALLBACK;
}

/** The language that this page speaks. */
export const language = wanted();

const load = FILES[`./${language}.json`];
if (!load) throw new Error(`no catalogue of ${language}`);

/** Everything that this page says. Read before anything is drawn. */
export const catalogue: Catalogue = await load();

/** How dates, numbers and lists are written: the region's way where the catalogue names one. */
export const locale: string = catalogue["language.locale"];
