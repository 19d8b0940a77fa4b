import { lazy, memo, Suspense, useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';
import { exactFigure, formatFigure, handStep, readLength, snapTo, tapeFor, type Unit } from '../../core/units/index.js';
import { fieldFigure, withFractions } from './fractions.js';
import { withShare } from './number-keys.js';

const NumberKeys = lazy(() => import('./NumberKeys.js').then((m) => ({ default: m.NumberKeys })));

/** Where a shown value comes from. */
export type FieldSource = 'sheet' | 'hand' | 'estimate' | 'measured';

interface LengthFieldProps {
  readonly id?: string;
  readonly label: string;
  /** The value in mm; nothing where the field is empty. */
  readonly mm: number | undefined;
  readonly unit: Unit;
  readonly source?: FieldSource;
  readonly allowEmpty?: boolean;
  readonly placeholder?: string;
  /** What is wrong with the value though it could be read. */
  readonly problem?: string | undefined;
  readonly describedBy?: string | undefined;
  readonly onCommit: (mm: number | undefined) => void;
  readonly onNext?: () => void;
  /** Told the unit in which a figure was typed, where it is another than the field's. */
  readonly onOtherUnit?: (unit: Unit) => void;
}

/** Typed text is taken over after a pause of this many milliseconds. */
const PAUSE = 800;

/** True where figures are tapped in on the screen. */
const tapped = (): boolean => window.matchMedia('(pointer: coarse)').matches;

/** The field after this one, as it stands on the page. */
function fieldAfter(input: HTMLInputElement): HTMLInputElement | undefined {
  const fields = [...document.querySelectorAll<HTMLInputElement>('.field input')];
  return fields[fields.indexOf(input) + 1];
}

/** A figure that was typed in this unit comes back as it was typed; any other is set to the tape. */
function shown(mm: number | undefined, unit: Unit, source: FieldSource | undefined): string {
  if (mm === undefined) return '';
  const exact = exactFigure(mm, unit);
  const typed = unit === 'in' ? !exact.includes('.') : !/\.\d{3}/.test(exact);
  return fieldFigure(source === 'sheet' || source === 'estimate' || !typed ? formatFigure(mm, tapeFor(unit)) : exact);
}

/** True where a text reads as exactly this length. */
function means(text: string, unit: Unit, mm: number | undefined): boolean {
  const read = readLength(text, unit);
  return read.ok && mm !== undefined && Math.abs(read.mm - mm) < 1e-9;
}

/**
 * The one length field: any notation in, the reader's unit out. Enter and leaving take the value over, arrow keys step
 * by the tape (Shift: fine), as does the wheel over the field that has the focus, Escape gives back. What cannot be read stays in the field with a sentence.
 */
export const LengthField = memo(function LengthField(props: LengthFieldProps) {
  const { label, mm, unit, source, allowEmpty, placeholder, problem, describedBy, onCommit, onNext, onOtherUnit } =
    props;
  const ownId = useId();
  const id = props.id ?? ownId;
  const [entry, setEntry] = useState<{ readonly text: string; readonly over: number | undefined }>();
  const [wrong, setWrong] = useState<string>();
  const timer = useRef<number>(undefined);
  const input = useRef<HTMLInputElement>(null);
  /** What was taken over and has not come back as the value yet. */
  const takenOver = useRef<number>(undefined);
  useEffect(() => {
    takenOver.current = undefined;
  }, [mm]);
  /** The keyboard that the screen offers, while the field has the focus. */
  const [pad, setPad] = useState<'figures' | 'letters'>();
  // What was typed gives way when the value changes elsewhere: by undo, on the piece, by another field.
  const text = entry && (entry.over === mm || means(entry.text, unit, mm)) ? entry.text : undefined;
  const value = text ?? shown(mm, unit, source);
  const setText = (typed: string | undefined): void => {
    setEntry(typed === undefined ? undefined : { text: typed, over: mm });
  };

  useEffect(
    () => () => {
      window.clearTimeout(timer.current);
    },
    [],
  );

  const commit = (typed: string, leaving: boolean): void => {
    window.clearTimeout(timer.current);
    if (typed.trim() === '' && allowEmpty) {
      setWrong(undefined);
      setText(undefined);
      if (mm !== undefined) onCommit(undefined);
      return;
    }
    const read = readLength(typed, unit);
    if (!read.ok) {
      if (leaving) setWrong(`${label}: ${read.reason}. Write it as 27.3, 10 3/4 or 273mm.`);
      return;
    }
    setWrong(undefined);
    if (read.unit !== unit && leaving) onOtherUnit?.(read.unit);
    if (leaving) setText(undefined);
    // What goes on to the next field leaves this one before it is drawn anew: it is taken over once all the same.
    if ((mm === undefined || Math.abs(read.mm - mm) > 1e-9) && takenOver.current !== read.mm) {
      takenOver.current = read.mm;
      onCommit(read.mm);
    }
    if (!leaving) setEntry({ text: typed, over: read.mm });
  };

  const type = (typed: string): void => {
    takenOver.current = undefined;
    setText(typed);
    setWrong(undefined);
    window.clearTimeout(timer.current);
    timer.current = window.setTimeout(() => {
      commit(typed, false);
    }, PAUSE);
  };
  const next = (): void => {
    if (!input.current) return;
    commit(input.current.value, true);
    if (onNext) onNext();
    else (fieldAfter(input.current) ?? input.current).focus();
  };

  const stepBy = (way: 1 | -1, fine: boolean): void => {
    if (mm === undefined) return;
    const by = handStep(unit, fine);
    setText(undefined);
    setWrong(undefined);
    onCommit(snapTo(mm + way * by, by));
  };
  const wheel = useRef(stepBy);
  useEffect(() => {
    wheel.current = stepBy;
  });
  // The wheel belongs to the page, but over the field that has the focus it steps; React’s own cannot hold the page still.
  useEffect(() => {
    const field = input.current;
    const turn = (event: WheelEvent): void => {
      if (document.activeElement !== field || event.ctrlKey || event.deltaY === 0) return;
      event.preventDefault();
      wheel.current(event.deltaY < 0 ? 1 : -1, event.shiftKey);
    };
    field?.addEventListener('wheel', turn, { passive: false });
    return () => {
      field?.removeEventListener('wheel', turn);
    };
  }, []);

  const step = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.key === 'Enter') {
      event.preventDefault();
      commit(event.currentTarget.value, true);
      onNext?.();
    } else if (event.key === 'Escape' && text !== undefined) {
      event.stopPropagation();
      window.clearTimeout(timer.current);
      setText(undefined);
      setWrong(undefined);
    } else if ((event.key === 'ArrowUp' || event.key === 'ArrowDown') && mm !== undefined) {
      event.preventDefault();
      stepBy(event.key === 'ArrowUp' ? 1 : -1, event.shiftKey);
    }
  };

  const trouble = wrong ?? problem;
  return (
    <>
      <span className="field" data-source={source} data-wrong={trouble !== undefined}>
        <input
          id={id}
          ref={input}
          value={value}
          data-typed={text !== undefined && !means(text, unit, mm)}
          inputMode={pad === 'figures' ? 'decimal' : 'text'}
          autoComplete="off"
          aria-label={props.id === undefined ? label : undefined}
          aria-invalid={trouble !== undefined}
          aria-describedby={trouble === undefined ? describedBy : `${id}-trouble`}
          placeholder={placeholder}
          onFocus={(event) => {
            event.currentTarget.select();
            if (tapped()) setPad('figures');
          }}
          onChange={(event) => {
            type(event.currentTarget.value);
          }}
          onBlur={(event) => {
            setPad(undefined);
            if (text !== undefined) commit(event.currentTarget.value, true);
          }}
          onKeyDown={step}
        />
        <span className="unit" aria-hidden="true">
          {unit}
        </span>
        {pad !== undefined && (
          <Suspense fallback={undefined}>
            <NumberKeys
              unit={unit}
              letters={pad === 'letters'}
              onAdd={(share) => {
                type(withShare(value, share, unit));
              }}
              onLetters={() => {
                setPad(pad === 'letters' ? 'figures' : 'letters');
              }}
              onNext={next}
            />
          </Suspense>
        )}
      </span>
      {trouble !== undefined && (
        <p className="problem" id={`${id}-trouble`} role="alert">
          {withFractions(trouble)}
        </p>
      )}
    </>
  );
});
