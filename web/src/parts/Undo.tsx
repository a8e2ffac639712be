import { say } from "../words/say";
/** What was done last, with the way back. */
export function Undo({ words, onUndo }: { words: string; onUndo: () => void }) {
  return (
    <p role="status" className="mt-3 border-water border-l-[5px] pl-3">
      {words}{" "}
      <button type="button" className="min-h-11 font-semibold underline underline-offset-4" onClick={onUndo}>
        {say("common.undo")}
      </button>
    </p>
  );
}
