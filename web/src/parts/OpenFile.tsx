import { type ReactNode, useRef } from "react";

/** Files out of the device, by whatever is to be pressed for it; the same one may be chosen again. */
export function OpenFile({
  label,
  accept,
  multiple = false,
  onFiles,
  children,
}: {
  label: string;
  accept: string;
  multiple?: boolean;
  /** One at least. */
  onFiles: (files: File[]) => void;
  children: (choose: () => void) => ReactNode;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      {children(() => input.current?.click())}
      <input
        ref={input}
        type="file"
        multiple={multiple}
        aria-label={label}
        accept={accept}
        className="sr-only"
        tabIndex={-1}
        onChange={(e) => {
          const files = [...(e.target.files ?? [])];
          e.target.value = "";
          if (files.length > 0) onFiles(files);
        }}
      />
    </>
  );
}
