import { describe, expect, it } from 'vitest';
import { dragHand, type DragHand, type Pull } from './drag.js';

/** A hand with a list of what it told, and frames that come when the test says so. */
function handOf(): { hand: DragHand<string>; told: string[]; frame: () => void; waiting: () => number } {
  const told: string[] = [];
  const waiting = new Map<number, () => void>();
  let next = 0;
  const say =
    (what: string) =>
    (held: string, pull?: Pull): void => {
      told.push(
        pull
          ? `${what} ${held} ${pull.to.x - pull.from.x}${pull.fine ? ' fine' : ''}${pull.alone ? ' alone' : ''}`
          : `${what} ${held}`,
      );
    };
  const hand = dragHand<string>(() => ({ move: say('move'), drop: say('drop'), giveUp: say('give up') }), {
    ask: (draw) => {
      next += 1;
      waiting.set(next, draw);
      return next;
    },
    cancel: (id) => waiting.delete(id),
  });
  const frame = (): void => {
    const now = [...waiting.values()];
    waiting.clear();
    now.forEach((draw) => {
      draw();
    });
  };
  return { hand, told, frame, waiting: () => waiting.size };
}

const COARSE = { fine: false, alone: false };
const at = (x: number) => ({ x, y: 0 });

describe('dragging', () => {
  it('tells once a frame, however often the pointer reports, and where it is then', () => {
    const { hand, told, frame, waiting } = handOf();
    hand.down(1, 'crotch point', at(100));
    for (const x of [101, 105, 112]) expect(hand.moved(1, at(x), COARSE)).toBe(true);
    expect(told).toEqual([]);
    expect(waiting()).toBe(1);
    frame();
    expect(told).toEqual(['move crotch point 12']);
    hand.moved(1, at(90), { fine: true, alone: true });
    frame();
    expect(told).toEqual(['move crotch point 12', 'move crotch point -10 fine alone']);
  });

  it('drops at the last place, also where no frame has shown it yet, and tells nothing after', () => {
    const { hand, told, frame, waiting } = handOf();
    hand.down(1, 'hem', at(0));
    hand.moved(1, at(4), COARSE);
    frame();
    hand.moved(1, at(9), COARSE);
    expect(hand.up(1)).toBe(true);
    expect(waiting()).toBe(0);
    frame();
    expect(told).toEqual(['move hem 4', 'drop hem 9']);
    expect(hand.moved(1, at(20), COARSE)).toBe(false);
    expect(hand.up(1)).toBe(false);
  });

  it('gives up a press that pulled nothing, so that a press alone changes no figure', () => {
    const { hand, told } = handOf();
    hand.down(1, 'hem', at(0));
    hand.up(1);
    expect(told).toEqual(['give up hem']);
  });

  it('heeds no second finger while the first holds something', () => {
    const { hand, told, frame } = handOf();
    hand.down(1, 'hem', at(0));
    hand.down(2, 'knee', at(50));
    expect(hand.moved(2, at(70), COARSE)).toBe(false);
    expect(hand.up(2)).toBe(false);
    expect(hand.giveUp(2)).toBe(false);
    hand.moved(1, at(3), COARSE);
    frame();
    hand.up(1);
    expect(told).toEqual(['move hem 3', 'drop hem 3']);
  });

  it('lets lie what is given up, with what was not shown yet, and is ready for the next', () => {
    const { hand, told, frame } = handOf();
    hand.down(1, 'hem', at(0));
    hand.moved(1, at(30), COARSE);
    expect(hand.giveUp()).toBe(true);
    frame();
    expect(told).toEqual(['give up hem']);
    expect(hand.giveUp()).toBe(false);
    hand.down(2, 'knee', at(0));
    hand.moved(2, at(5), COARSE);
    hand.up(2);
    expect(told).toEqual(['give up hem', 'drop knee 5']);
  });
});
