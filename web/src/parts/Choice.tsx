import { RadioGroup } from "radix-ui";
import { useId } from "react";

/** One of a few, in a row under its question. Quiet: the question is for who does not see what it is about. */
export function Choice({
  label,
  value,
  options,
  onPick,
  quiet = false,
}: {
  label: string;
  value: string;
  options: { value: string; label: string }[];
  onPick: (v: string) => void;
  quiet?: boolean;
}) {
  const id = useId();
  return (
    <div>
      <span id={id} className={quiet ? "sr-only" : "text-muted"}>
        {label}
      </span>
      <RadioGroup.Root
        aria-labelledby={id}
        value={value}
        onValueChange={onPick}
        className="mt-1 flex flex-wrap gap-x-5 gap-y-1"
      >
        {options.map((o) => (
          <span key={o.value} className="flex items-center">
            <RadioGroup.Item
              id={id + o.value}
              value={o.value}
              className="grid size-5 place-items-center rounded-full border-2 border-muted aria-checked:border-ember"
            >
              <RadioGroup.Indicator className="block size-2.5 rounded-full bg-ember" />
            </RadioGroup.Item>
            <label htmlFor={id + o.value} className="flex min-h-11 cursor-pointer items-center pl-2">
              {o.label}
            </label>
          </span>
        ))}
      </RadioGroup.Root>
    </div>
  );
}
