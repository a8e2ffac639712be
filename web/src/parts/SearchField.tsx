/** Words to search by, with their label beside them, or for the ear alone. */
export function SearchField({
  label,
  quiet,
  value,
  example,
  onChange,
  className = "",
}: {
  label: string;
  quiet?: boolean;
  value: string;
  example: string;
  onChange: (words: string) => void;
  className?: string;
}) {
  return (
    <label className={`flex items-baseline gap-2 ${className}`}>
      <span className={quiet ? "sr-only" : "text-muted"}>{label}</span>
      <input
        type="search"
        value={value}
        onChange={(e) => onChange(e.target.value)}
        placeholder={example}
        className="min-h-11 min-w-0 flex-1 border-ink border-b-2 bg-transparent px-1 placeholder:text-muted"
      />
    </label>
  );
}
