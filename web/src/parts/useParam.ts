import { useSearchParams } from "react-router";

/**
 * The words after the question mark of the address, and how to set one of them; an empty value takes it out. Setting
 * one also takes out the `loses` that no longer hold, such as the page of another search.
 */
export function useParam(loses: string[] = []) {
  const [params, setParams] = useSearchParams();
  const set = (key: string, value: string) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        if (value) next.set(key, value);
        else next.delete(key);
        for (const other of loses) if (other !== key) next.delete(other);
        return next;
      },
      { replace: true },
    );
  return [params, set] as const;
}
