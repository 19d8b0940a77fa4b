import { useEffect, useState, type CSSProperties } from 'react';
import { createPortal } from 'react-dom';
import type { Unit } from '../../core/units/index.js';
import { withFractions } from './fractions.js';
import { KEYS } from './number-keys.js';
import './number-keys.css';

/** How much of the page, in pixels from its foot, a keyboard on the screen covers now. */
function useCovered(): number {
  const [covered, setCovered] = useState(0);
  useEffect(() => {
    const seen = window.visualViewport;
    if (!seen) return undefined;
    const look = (): void => {
      setCovered(Math.max(0, Math.round(window.innerHeight - seen.height - seen.offsetTop)));
    };
    look();
    seen.addEventListener('resize', look);
    seen.addEventListener('scroll', look);
    return () => {
      seen.removeEventListener('resize', look);
      seen.removeEventListener('scroll', look);
    };
  }, []);
  return covered;
}

interface NumberKeysProps {
  readonly unit: Unit;
  /** The keyboard on the screen gives figures only, or letters too. */
  readonly letters: boolean;
  readonly onAdd: (share: number) => void;
  readonly onLetters: () => void;
  readonly onNext: () => void;
}

/** Beside a number pad, which knows no fractions: the eighths of a tape, letters for another unit, and on to the next. */
export function NumberKeys({ unit, letters, onAdd, onLetters, onNext }: NumberKeysProps) {
  const bottom = useCovered();
  return createPortal(
    <div
      className="number-keys no-print"
      role="toolbar"
      aria-label="Figure keys"
      style={{ '--covered': `${bottom}px` } as CSSProperties}
      // The field keeps the focus, and with it the keyboard.
      onPointerDown={(event) => {
        event.preventDefault();
      }}
    >
      {KEYS[unit].map(([words, share]) => (
        <button
          key={words}
          type="button"
          tabIndex={-1}
          aria-label={`Add ${words} ${unit}`}
          onClick={() => {
            onAdd(share);
          }}
        >
          +{withFractions(words)}
        </button>
      ))}
      <button type="button" tabIndex={-1} aria-pressed={letters} onClick={onLetters}>
        {letters ? '123' : 'abc'}
      </button>
      <button type="button" tabIndex={-1} className="next" onClick={onNext}>
        Next
      </button>
    </div>,
    document.body,
  );
}
