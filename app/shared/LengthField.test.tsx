// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Unit } from '../../core/units/index.js';
import { LengthField } from './LengthField.js';

beforeEach(() => {
  pointerIs('fine');
  vi.useFakeTimers({ shouldAdvanceTime: true });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

/** A field that keeps what it is told, as a draft does. */
function Kept({
  mm,
  unit = 'cm',
  allowEmpty = false,
  told,
  other,
  next,
}: {
  readonly mm?: number;
  readonly unit?: Unit;
  readonly allowEmpty?: boolean;
  readonly told: (mm: number | undefined) => void;
  readonly other?: (unit: Unit) => void;
  readonly next?: () => void;
}) {
  const [kept, keep] = useState(mm);
  return (
    <>
      <LengthField
        label="Waist"
        mm={kept}
        unit={unit}
        source="measured"
        allowEmpty={allowEmpty}
        onCommit={(read) => {
          told(read);
          keep(read);
        }}
        {...(other && { onOtherUnit: other })}
        {...(next && { onNext: next })}
      />
      <button
        type="button"
        onClick={() => {
          keep(900);
        }}
      >
        Undo
      </button>
    </>
  );
}
const field = (): HTMLInputElement => screen.getByRole<HTMLInputElement>('textbox');
const user = () => userEvent.setup({ advanceTimers: vi.advanceTimersByTime });

/** The hand rests so long, in milliseconds. */
const rest = (ms: number): void => {
  act(() => {
    vi.advanceTimersByTime(ms);
  });
};

/** The hand taps on a screen, or has a mouse. */
function pointerIs(kind: 'coarse' | 'fine'): void {
  vi.stubGlobal('matchMedia', () => ({ matches: kind === 'coarse' }));
}

describe('the length field', () => {
  it('takes any notation over at Enter, in millimetres, and goes on', async () => {
    const [told, next] = [vi.fn(), vi.fn()];
    render(<Kept unit="in" told={told} next={next} />);
    await user().type(field(), '29 3/4{Enter}');
    expect(told).toHaveBeenCalledExactlyOnceWith(755.65);
    expect(next).toHaveBeenCalledOnce();
  });

  it('takes over what was typed once the hand rests, and once only', async () => {
    const told = vi.fn();
    render(<Kept told={told} />);
    await user().type(field(), '78,5');
    expect(told).not.toHaveBeenCalled();
    rest(800);
    expect(told).toHaveBeenCalledExactlyOnceWith(785);
    fireEvent.blur(field());
    expect(told).toHaveBeenCalledOnce();
  });

  it('keeps what cannot be read in the field, names it, and tells the way out', async () => {
    const told = vi.fn();
    render(<Kept mm={780} told={told} />);
    const hand = user();
    await hand.clear(field());
    await hand.type(field(), 'seventy');
    rest(800);
    expect(screen.queryByRole('alert')).toBeNull();
    fireEvent.blur(field());
    expect(field().value).toBe('seventy');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByRole('alert').textContent).toMatch(/^Waist: .*Write it as 27.3, 10 ?3.?4 or 273mm\.$/);
    expect(told).not.toHaveBeenCalled();
  });

  it('gives back what stood there at Escape, and the timer takes nothing over after', async () => {
    const told = vi.fn();
    render(<Kept mm={780} told={told} />);
    await user().type(field(), '5{Escape}');
    rest(2_000);
    expect(field().value).toBe('78');
    expect(told).not.toHaveBeenCalled();
  });

  it('steps by the tape with the arrows, finer with Shift', async () => {
    const told = vi.fn();
    render(<Kept mm={780} told={told} />);
    await user().type(field(), '{ArrowUp}{Shift>}{ArrowDown}{/Shift}');
    const [up, down] = told.mock.calls.map(([mm]: number[]) => mm ?? 0);
    expect(up).toBeGreaterThan(780);
    expect((up ?? 0) - (down ?? 0)).toBeGreaterThan(0);
    expect((up ?? 0) - (down ?? 0)).toBeLessThan((up ?? 0) - 780);
  });

  it('steps by the wheel over the field that has the focus, and leaves it to the page over any other', () => {
    const told = vi.fn();
    render(<Kept mm={780} told={told} />);
    expect(fireEvent.wheel(field(), { deltaY: -100 })).toBe(true);
    expect(told).not.toHaveBeenCalled();
    act(() => {
      field().focus();
    });
    expect(fireEvent.wheel(field(), { deltaY: -100 })).toBe(false);
    const [up] = told.mock.calls[0] as [number];
    expect(up).toBeGreaterThan(780);
    fireEvent.wheel(field(), { deltaY: 100 });
    expect(told.mock.calls[1]).toEqual([780]);
    expect(fireEvent.wheel(field(), { deltaY: -100, ctrlKey: true })).toBe(true);
    expect(told).toHaveBeenCalledTimes(2);
  });

  it('says when a figure was typed in the other unit, and reads it in that', async () => {
    const [told, other] = [vi.fn(), vi.fn()];
    render(<Kept told={told} other={other} />);
    await user().type(field(), '29 3/4"{Enter}');
    expect(other).toHaveBeenCalledExactlyOnceWith('in');
    expect(told).toHaveBeenCalledExactlyOnceWith(755.65);
  });

  it('is emptied only where it may be empty', async () => {
    const told = vi.fn();
    const { unmount } = render(<Kept mm={780} allowEmpty told={told} />);
    await user().clear(field());
    fireEvent.blur(field());
    expect(told).toHaveBeenCalledExactlyOnceWith(undefined);
    unmount();
    told.mockClear();
    render(<Kept mm={780} told={told} />);
    await user().clear(field());
    fireEvent.blur(field());
    expect(told).not.toHaveBeenCalled();
    expect(screen.getByRole('alert')).toBeTruthy();
  });

  it('lets what is half typed give way where the value changes elsewhere', async () => {
    const told = vi.fn();
    render(<Kept mm={780} told={told} />);
    await user().type(field(), '5');
    expect(field().dataset['typed']).toBe('true');
    fireEvent.click(screen.getByRole('button'));
    expect(field().value).toBe('90');
    expect(field().dataset['typed']).toBe('false');
  });

  it('offers eighths and the next field where figures are tapped in, and keeps the focus meanwhile', async () => {
    pointerIs('coarse');
    const told = vi.fn();
    render(
      <>
        <Kept unit="in" mm={29.5 * 25.4} told={told} />
        <Kept unit="in" mm={254} told={vi.fn()} />
      </>,
    );
    const [first, second] = screen.getAllByRole<HTMLInputElement>('textbox');
    const hand = user();
    expect(screen.queryByRole('toolbar')).toBeNull();
    await hand.click(first as HTMLInputElement);
    await screen.findByRole('toolbar');
    expect(first?.inputMode).toBe('decimal');
    await hand.click(screen.getByRole('button', { name: 'Add 1/8 in' }));
    await hand.click(screen.getByRole('button', { name: 'Add 1/4 in' }));
    expect(document.activeElement).toBe(first);
    expect(first?.value).toBe('29 7/8');
    await hand.click(screen.getByRole('button', { name: 'abc' }));
    expect(first?.inputMode).toBe('text');
    await hand.click(screen.getByRole('button', { name: 'Next' }));
    // On a slow machine the hand may rest between two keys: what was typed is then taken over already. Never twice.
    const taken = told.mock.calls.map(([mm]: number[]) => ((mm ?? 0) / 25.4).toFixed(3));
    expect(taken.at(-1)).toBe('29.875');
    expect(new Set(taken).size).toBe(taken.length);
    expect(document.activeElement).toBe(second);
    await hand.tab();
    expect(screen.queryByRole('toolbar')).toBeNull();
  });

  it('offers no figure keys to a mouse', async () => {
    render(<Kept told={vi.fn()} />);
    await user().click(field());
    expect(screen.queryByRole('toolbar')).toBeNull();
    expect(field().inputMode).toBe('text');
  });
});
