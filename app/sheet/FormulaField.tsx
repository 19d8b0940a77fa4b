import { useId, useRef, useState } from 'react';
import { completions, nameAt } from './formula-names.js';

interface FormulaFieldProps {
  readonly label: string;
  readonly formula: string;
  readonly names: readonly string[];
  /** What is wrong with the formula as it stands, if anything. */
  readonly problem: string | undefined;
  readonly readOnly: boolean;
  /** `again` where it goes on from the change before: both are undone at once. */
  readonly onCommit: (formula: string, again: boolean) => void;
}

/** A formula that is written in place: names are completed, the draft follows every change, a mistake is told below. */
export function FormulaField({ label, formula, names, problem, readOnly, onCommit }: FormulaFieldProps) {
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  const [before, setBefore] = useState<string>();
  const [offer, setOffer] = useState<{ from: number; part: string; at: number }>();
  const list = offer ? completions(names, offer.part) : [];
  const changed = useRef(false);
  const commit = (next: string): void => {
    onCommit(next, changed.current);
    changed.current = true;
  };
  const take = (name: string): void => {
    if (!offer) return;
    const next = formula.slice(0, offer.from) + name + formula.slice(offer.from + offer.part.length);
    commit(next);
    setOffer(undefined);
    const caret = offer.from + name.length;
    window.setTimeout(() => input.current?.setSelectionRange(caret, caret));
  };
  return (
    <span className="formula-field">
      <input
        ref={input}
        aria-label={`Formula of ${label}`}
        aria-invalid={problem !== undefined}
        aria-describedby={problem === undefined ? undefined : `${id}-trouble`}
        aria-expanded={list.length > 0}
        aria-controls={`${id}-names`}
        aria-activedescendant={list.length > 0 ? `${id}-${offer?.at ?? 0}` : undefined}
        role="combobox"
        autoComplete="off"
        spellCheck={false}
        readOnly={readOnly}
        value={formula}
        onFocus={() => {
          changed.current = false;
          setBefore(formula);
        }}
        onBlur={() => {
          setOffer(undefined);
        }}
        onChange={(event) => {
          const { value, selectionStart } = event.currentTarget;
          setOffer({ ...nameAt(value, selectionStart ?? value.length), at: 0 });
          commit(value);
        }}
        onKeyDown={(event) => {
          const chosen = list[offer?.at ?? 0];
          if (offer && list.length > 0 && (event.key === 'ArrowDown' || event.key === 'ArrowUp')) {
            const step = event.key === 'ArrowDown' ? 1 : list.length - 1;
            setOffer({ ...offer, at: (offer.at + step) % list.length });
          } else if (chosen !== undefined && (event.key === 'Enter' || event.key === 'Tab')) {
            take(chosen);
          } else if (event.key === 'Escape') {
            if (list.length > 0) setOffer(undefined);
            else if (before !== undefined && before !== formula) commit(before);
            event.stopPropagation();
          } else return;
          event.preventDefault();
        }}
      />
      {list.length > 0 && (
        <ul id={`${id}-names`} role="listbox" aria-label="Names" className="formula-names">
          {list.map((name, i) => (
            <li
              key={name}
              id={`${id}-${i}`}
              role="option"
              aria-selected={i === offer?.at}
              onPointerDown={(event) => {
                event.preventDefault();
                take(name);
              }}
            >
              {name}
            </li>
          ))}
        </ul>
      )}
      {problem !== undefined && (
        <span id={`${id}-trouble`} className="trouble" role="alert">
          {problem}
        </span>
      )}
    </span>
  );
}
