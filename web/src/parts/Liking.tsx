import { say } from "../words/say";

const SIZE = 20;
const WORDS = [say("common.notAgain"), "hardly", say("common.wellEnough"), "good", say("common.theBest")];

/** What a liking from one to five is called. */
export const likingWords = (liking: number): string => WORDS[liking - 1] ?? say("common.notSaid");

export const LIKINGS = WORDS.map((label, i) => ({ value: String(i + 1), label }));

/** A cup as full as it was liked: a fifth for "not again", to the brim for "the best". */
export function Liking({
  of,
  size = SIZE,
  className = "",
}: {
  of: number;
  size?: number;
  className?: string;
}) {
  return (
    <svg
      width={size * 1.2}
      height={size}
      viewBox="0 0 24 20"
      role="img"
      aria-label={say("common.liked", { likingWords: likingWords(of) })}
      className={`inline-block align-[-4px] ${className}`}
    >
      <LikingCup of={of} />
    </svg>
  );
}

/** The same inside another drawing, 24 by 20. */
export function LikingCup({ of }: { of: number }) {
  const top = 17 - (of / 5) * 13;
  // The walls lean a little: the liquor is as wide as the cup is at its level.
  const lean = ((17 - top) / 14) * 1.6;
  return (
    <g>
      <path d={`M${4.6 - lean},${top} H${15.4 + lean} L15.4,17.4 H4.6 Z`} fill="var(--herb)" />
      <path
        d="M2.6,3 L4.4,18 H15.6 L17.4,3 M17,6.5 h2.4 a2.6,2.6 0 0 1 0,6.4 h-3.2"
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.7}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
    </g>
  );
}
