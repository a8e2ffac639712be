import { say } from "../../words/say";
/** Colours of liquors, from pale to brown and the few that are not: compared by eye in a white cup, day or night. */
export const COLOURS = [
  { value: "pale", hex: "#efe9c9" },
  { value: "straw", hex: "#e4d38a" },
  { value: "honey", hex: "#d9a93c" },
  { value: "amber", hex: "#c17f22" },
  { value: "copper", hex: "#a6541f" },
  { value: "russet", hex: "#7d3416" },
  { value: "brown", hex: "#4a2514" },
  { value: "ruby", hex: "#8e1230" },
  { value: "rose", hex: "#d06a80" },
  { value: "violet", hex: "#5b3a86" },
  { value: "blue", hex: "#2f4f9e" },
  { value: "green", hex: "#8f9f45" },
] as const;

/** A drop of the colour with its name. */
export function Swatch({ colour, words = false }: { colour: string; words?: boolean }) {
  const c = COLOURS.find((x) => x.value === colour);
  return (
    <span className="mr-2 inline-flex items-baseline gap-1.5">
      <svg
        width={14}
        height={14}
        className="self-center"
        role="img"
        aria-label={say("live.colourColour", { colour })}
      >
        <circle cx={7} cy={7} r={6.3} fill={c?.hex ?? "transparent"} stroke="var(--muted)" />
      </svg>
      {words && colour}
    </span>
  );
}
