import { type ReactNode, useRef, useState } from "react";
import { keptInstead, wrongOf } from "../../api/client";
import type { Quantity } from "../../api/house";
import * as length from "../../api/length.gen";
import { DateField, NumberField, Primary, QuantityField, Secondary, TextField } from "../../parts/Field";
import { Trouble } from "../../parts/states";
import { Word } from "../../parts/Word";
import { say } from "../../words/say";

/** A change as it is made here. */
interface Change<T, Draft> {
  mutateAsync: (draft: Draft) => Promise<T>;
  error: unknown;
  reset: () => void;
}

/** Something of the household that is changed where it stands. */
export interface InPlace<T, Draft> {
  /** As it is shown: with what is on its way. */
  shown: T;
  /** Keeps one part of it at once; `then` is done when it is kept. */
  keep: (part: Partial<Draft>, then?: () => void) => void;
  /** What the server would rather have in that field. */
  wrong: (field: string) => string | undefined;
  /** What is told beneath it when the last part was not kept. */
  trouble: ReactNode;
}

/**
 * Keeps the parts of a thing one after the other, each onto the newest of it. When it was changed elsewhere meanwhile,
 * the part can be put onto that, so that neither change is lost.
 */
export function useInPlace<T extends { version: number }, Draft>(
  thing: T,
  change: Change<T, Draft>,
  request: (thing: T, part: Partial<Draft>) => Draft,
): InPlace<T, Draft> {
  const newest = useRef(thing);
  if (thing.version > newest.current.version) newest.current = thing;
  const before = useRef(Promise.resolve());
  const [onTheWay, setOnTheWay] = useState<Partial<Draft>[]>([]);
  const [refused, setRefused] = useState<Partial<Draft>>({});
  const keep = (part: Partial<Draft>, then?: () => void, onto?: T) => {
    setOnTheWay((all) => [...all, part]);
    before.current = before.current.then(async () => {
      try {
        newest.current = await change.mutateAsync(request(onto ?? newest.current, part));
        then?.();
      } catch {
        setRefused(part);
      } finally {
        setOnTheWay((all) => all.filter((p) => p !== part));
      }
    });
  };
  const theirs = keptInstead<T>(change.error);
  const trouble = theirs ? (
    <div role="alert" className="mt-2 border-amber border-l-4 pl-3">
      <p>{say("household.thisWasChangedElsewhereMeanwhile")}</p>
      <div className="mt-2 flex flex-wrap gap-3">
        <Secondary onClick={() => keep(refused, undefined, theirs)}>
          {say("household.changeItAllTheSame")}
        </Secondary>
        <Secondary onClick={change.reset}>{say("household.leaveIt")}</Secondary>
      </div>
    </div>
  ) : change.error ? (
    <Trouble error={change.error} />
  ) : null;
  return {
    shown: Object.assign({}, thing, ...onTheWay),
    keep: (part, then) => keep(part, then),
    wrong: wrongOf(change.error),
    trouble,
  };
}

/** A form of one line in a word: what is typed is kept by Enter or the button. */
function Typed({ onKeep, children }: { onKeep: () => void; children: ReactNode }) {
  return (
    <form
      className="flex w-64 items-end gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        onKeep();
      }}
    >
      <div className="min-w-0 grow">{children}</div>
      <Primary>{say("household.keep")}</Primary>
    </form>
  );
}

/** A name that is typed anew. */
export function NameWord<T, D extends { name?: string | null }>({
  label,
  name,
  it,
}: {
  label: string;
  name: string;
  it: InPlace<T, D>;
}) {
  return (
    <Word label={label} shown={name}>
      {(close) => <NameTyped name={name} it={it} close={close} />}
    </Word>
  );
}

function NameTyped<T, D extends { name?: string | null }>({
  name,
  it,
  close,
}: {
  name: string;
  it: InPlace<T, D>;
  close: () => void;
}) {
  const [typed, setTyped] = useState(name);
  return (
    <Typed onKeep={() => it.keep({ name: typed } as Partial<D>, close)}>
      <TextField
        label={say("household.name")}
        most={length.SHORT_NAME}
        value={typed}
        wrong={it.wrong("name")}
        onChange={setTyped}
      />
    </Typed>
  );
}

/** A few words that are typed anew. */
export function TextWord({
  label,
  shown,
  value,
  most = length.LINE,
  wrong,
  quiet,
  onKeep,
}: {
  label: string;
  shown: string;
  value: string;
  most?: number;
  wrong?: string;
  quiet?: boolean;
  onKeep: (value: string, close: () => void) => void;
}) {
  return (
    <Word label={label} shown={shown} quiet={quiet}>
      {(close) => (
        <TextTyped label={label} start={value} most={most} wrong={wrong} onKeep={(v) => onKeep(v, close)} />
      )}
    </Word>
  );
}

/** A few words in a form of one line. */
export function TextTyped({
  label,
  start,
  most,
  wrong,
  onKeep,
}: {
  label: string;
  start: string;
  most: number;
  wrong?: string;
  onKeep: (value: string) => void;
}) {
  const [typed, setTyped] = useState(start);
  return (
    <Typed onKeep={() => onKeep(typed)}>
      <TextField label={label} most={most} value={typed} wrong={wrong} onChange={setTyped} />
    </Typed>
  );
}

/** A day that is picked anew. */
export function DayWord({
  label,
  shown,
  value,
  wrong,
  quiet,
  onKeep,
}: {
  label: string;
  shown: string;
  /** As the wire writes it. */
  value: string;
  wrong?: string;
  quiet?: boolean;
  onKeep: (value: string, close: () => void) => void;
}) {
  return (
    <Word label={label} shown={shown} quiet={quiet}>
      {(close) => <DayTyped label={label} start={value} wrong={wrong} onKeep={(v) => onKeep(v, close)} />}
    </Word>
  );
}

function DayTyped({
  label,
  start,
  wrong,
  onKeep,
}: {
  label: string;
  start: string;
  wrong?: string;
  onKeep: (value: string) => void;
}) {
  const [typed, setTyped] = useState(start);
  return (
    <Typed onKeep={() => typed && onKeep(typed)}>
      <DateField label={label} value={typed} wrong={wrong} onChange={setTyped} />
    </Typed>
  );
}

/** A number that is typed anew, in the unit of the house or in one that every house reads alike. */
export function NumberWord({
  label,
  shown,
  value,
  of,
  unit,
  field,
  wrong,
  mayBeMissing = false,
  onKeep,
}: {
  label: string;
  shown: string;
  value: number | undefined;
  of?: Quantity;
  unit?: string;
  /** Its name on the wire, by which a complaint finds it. */
  field: string;
  wrong: (field: string) => string | undefined;
  mayBeMissing?: boolean;
  onKeep: (value: number | undefined, close: () => void) => void;
}) {
  return (
    <Word label={label} shown={shown}>
      {(close) => (
        <NumberTyped
          label={label}
          start={value}
          of={of}
          unit={unit}
          wrong={wrong(field)}
          mayBeMissing={mayBeMissing}
          onKeep={(v) => onKeep(v, close)}
        />
      )}
    </Word>
  );
}

function NumberTyped({
  label,
  start,
  of,
  unit,
  wrong,
  mayBeMissing,
  onKeep,
}: {
  label: string;
  start: number | undefined;
  of?: Quantity;
  unit?: string;
  wrong?: string;
  mayBeMissing: boolean;
  onKeep: (value: number | undefined) => void;
}) {
  const [typed, setTyped] = useState(start);
  const missing = typed === undefined && !mayBeMissing;
  const field = {
    label,
    value: typed,
    wrong: missing ? say("household.aNumber") : wrong,
    onChange: setTyped,
  };
  return (
    <Typed onKeep={() => !missing && onKeep(typed)}>
      {of ? <QuantityField of={of} {...field} /> : <NumberField unit={unit} {...field} />}
    </Typed>
  );
}

/** Something that is new: what is asked of it stands in a row, kept by one button; all else is changed when it is there. */
export function NewThing<D extends object>({
  words,
  none,
  start,
  add,
  children,
}: {
  /** What opens it, @param none what closes it again */
  words: string;
  none: string;
  start: D;
  add: {
    mutate: (wish: { id: undefined; draft: D }, then: { onSuccess: () => void }) => void;
    error: unknown;
    reset: () => void;
  };
  children: (
    draft: D,
    set: (part: Partial<D>) => void,
    wrong: (field: string) => string | undefined,
  ) => ReactNode;
}) {
  const [draft, setDraft] = useState<D | null>(null);
  if (draft === null)
    return (
      <div className="mt-4">
        <Secondary onClick={() => setDraft(start)}>{words}</Secondary>
      </div>
    );
  return (
    <form
      className="mt-4 flex flex-wrap items-end gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        add.mutate({ id: undefined, draft }, { onSuccess: () => setDraft(null) });
      }}
    >
      {children(draft, (part) => setDraft({ ...draft, ...part }), wrongOf(add.error))}
      <Primary>{say("household.keepIt")}</Primary>
      <button
        type="button"
        className="min-h-11 underline underline-offset-4"
        onClick={() => {
          add.reset();
          setDraft(null);
        }}
      >
        {none}
      </button>
      {add.error != null && <Trouble error={add.error} />}
    </form>
  );
}
