import { Key } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { inRoom } from './harness.js';

const room = inRoom();

/** Views that together hold every kind of control. */
const VIEWS = [
  '/',
  '/demo',
  '/demo/crew',
  '/demo/sizes',
  '/demo/practise',
  '/demo/practise/own?method=quarter-and-half&level=eighths&ask=curves',
  '/demo/forms?people=cellist&unit=cm',
  '/demo/person/lead-puppeteer/history',
  '/demo/draft/rigger-work/measure',
  '/demo/draft/cook-copy/measure',
  '/demo/draft/lamp-plain/choose',
  '/demo/draft/lamp-plain/choose/advise',
  '/demo/draft/lamp-plain/choose/compare',
  '/demo/draft/lamp-plain/choose/steps',
  '/demo/draft/lamp-plain/choose/sheet',
  '/demo/draft/lamp-plain/draft',
  '/demo/draft/puppeteer-black/true',
  '/demo/draft/lamp-plain/true/it',
  '/demo/draft/lamp-plain/true/walk',
  '/demo/draft/puppeteer-black/true/curve',
  '/demo/draft/lamp-plain/true/report',
  '/demo/draft/cellist-dress/finish',
  '/demo/draft/lamp-plain/cut',
  '/demo/draft/lamp-plain/cut/chalk',
  '/demo/draft/lamp-plain/cut/make',
  '/demo/draft/lamp-plain/cut/lay',
  '/demo/draft/lamp-plain/cut/many',
  '/demo/draft/rigger-work/toile',
];

/** So many presses of Tab at a time, and so many times at most on one view. */
const AT_ONCE = 12;
const MOST_TIMES = 14;

/** Goes on, with what is told, once all that follows is drawn. */
const DRAWN = (told: string): string =>
  `setTimeout(() => requestAnimationFrame(() => requestAnimationFrame(() => done(${told}))), 30);`;

interface Stop {
  readonly kind: string;
  readonly name: string;
  /** Which of all that have had the focus on this view. */
  readonly index: number;
}

interface Place {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Writes down from now on what has the focus: which kind of control it is, and what it is called. */
const noteStops = (): Promise<unknown> =>
  room.driver.executeScript(
    `const first = window.stops === undefined;
     window.stops = [];
     window.looking = false;
     document.activeElement.blur();
     if (!first) return;
     const own = (x) => [x.tagName, x.getAttribute('role') ?? '', (x.getAttribute('class') ?? '').replace(/css-\\S+|\\S*[sS]elected\\S*|\\S*Checked\\S*|\\S*focusVisible/g, '').trim()].join(' ');
     document.addEventListener('focusin', ({ target: e }) => {
       if (window.looking) return;
       window.stops.push({ e, kind: own(e) + ' in ' + own(e.parentElement ?? e), name: (e.getAttribute('aria-label') ?? e.textContent ?? '').trim().slice(0, 60) });
     });`,
  );

/** Goes on by Tab; tells what had the focus, and whether the whole view has been gone round. */
async function tabbed(): Promise<{ readonly stops: readonly Stop[]; readonly round: boolean }> {
  await room.driver
    .actions()
    .sendKeys(...Array.from({ length: AT_ONCE }, () => Key.TAB))
    .perform();
  return room.driver.executeScript(
    `return {
       stops: window.stops.map(({ kind, name }, index) => ({ kind, name, index })),
       round: window.stops.some(({ e }, i) => i > 0 && e === window.stops[0].e),
     };`,
  );
}

/** Puts the focus on what had it, as a key does, and tells where that is drawn; nothing where it is gone. */
const focusOn = ({ index }: Stop): Promise<Place | null> =>
  room.driver.executeAsyncScript(
    `const [index, done] = arguments;
     window.looking = true;
     const { e } = window.stops[index];
     e.focus({ focusVisible: true });
     if (document.activeElement !== e) return done(null);
     const box = e.getBoundingClientRect();
     const around = 9;
     const place = { x: Math.max(0, box.x + scrollX - around), y: Math.max(0, box.y + scrollY - around), width: box.width + 2 * around, height: box.height + 2 * around };
     ${DRAWN('place')}`,
    index,
  );

/** Takes the focus away, as far as it can be seen. */
const focusOff = (): Promise<unknown> =>
  room.driver.executeAsyncScript(`const done = arguments[0]; document.activeElement.blur(); ${DRAWN('')}`);

/** A picture of a place on the screen. */
async function picture(box: Place): Promise<string> {
  const answer: unknown = await room.driver.sendAndGetDevToolsCommand('Page.captureScreenshot', {
    format: 'png',
    clip: { ...box, scale: 1 },
  });
  return JSON.stringify(answer);
}

/** Takes away what blinks, what is selected and what moves: only the mark of the focus may differ. */
const quiet = (): Promise<unknown> =>
  room.driver.executeScript(
    `const style = document.createElement('style');
     style.textContent = '* { caret-color: transparent !important; transition: none !important; animation: none !important } ::selection { background: transparent !important; color: inherit !important }';
     document.head.append(style);`,
  );

describe('what has the focus', () => {
  it('looks otherwise than what has not, on every kind of control of every view, each with one heading and one main part', async () => {
    const seen = new Set<string>();
    const unmarked: string[] = [];
    // Tab at the end of a view goes on into the browser's own frame: the page counts as in front all the same.
    await room.driver.sendDevToolsCommand('Emulation.setFocusEmulationEnabled', { enabled: true });
    await room.visit('/demo');
    await quiet();
    for (const view of VIEWS) {
      await room.turnTo(view);
      await room.until(`${view} has no heading`, () => room.has('h1'));
      for (const one of ['h1', 'main']) {
        expect([view, one, (await room.driver.findElements({ css: one })).length]).toEqual([view, one, 1]);
      }
      expect(await room.driver.getTitle()).toMatch(/Upstride/);
      await noteStops();
      for (let i = 0; i < MOST_TIMES; i += 1) {
        const { stops, round } = await tabbed();
        for (const stop of stops) {
          if (seen.has(stop.kind)) continue;
          const place = await focusOn(stop);
          if (!place) continue;
          seen.add(stop.kind);
          // What is told elsewhere of a control in focus does not count: only the place of the control itself.
          const focused = await picture(place);
          await focusOff();
          if ((await picture(place)) === focused) unmarked.push(`${view}: ${stop.name} (${stop.kind})`);
        }
        if (round) break;
        await room.driver.executeScript('window.stops.at(-1)?.e.focus({ focusVisible: true }); window.looking = false');
      }
    }
    expect(unmarked).toEqual([]);
    expect(seen.size).toBeGreaterThan(30);
  });

  it('goes on from one of the four figures to the next, and nowhere between', async () => {
    await room.visit('/');
    await (await room.at('//button[normalize-space()="Start from four measurements"]')).click();
    await room.find('#measure-waist');
    const focused = (): Promise<string> => room.driver.executeScript('return document.activeElement.id');
    await room.until('the cursor does not wait at the waist', async () => (await focused()) === 'measure-waist');
    const order = ['measure-waist'];
    for (let i = 0; i < 12 && order.at(-1) !== 'measure-inseam'; i += 1) {
      await room.keys('80', Key.TAB);
      const id = await focused();
      if (id.startsWith('measure-')) order.push(id);
    }
    expect(order).toEqual(['measure-waist', 'measure-hip', 'measure-crotchDepth', 'measure-inseam']);
  });

  it('is at the station after its key, and comes back where find was given up', async () => {
    await room.visit('/demo/draft/lamp-plain/draft');
    await room.find('[data-handle="back.crotch"]');
    await room.keys('4');
    await room.until('the focus is lost', () =>
      room.driver.executeScript<boolean>('return document.activeElement.getAttribute("aria-current") === "page"'),
    );
    const tool = await room.find('[aria-label="Find anything"]');
    await tool.sendKeys(Key.ENTER);
    await room.find('.find-field');
    await room.keys(Key.ESCAPE);
    await room.until('find stays', async () => !(await room.has('.find-field')));
    expect(await room.driver.executeScript('return document.activeElement.getAttribute("aria-label")')).toBe(
      'Find anything',
    );
  });

  it('goes on where a set was moved to, and where changes were taken', async () => {
    const focused = (): Promise<string> => room.driver.executeScript('return document.activeElement.textContent');
    await room.visit('/demo/draft/rigger-work/measure?newer');
    await room.press('Move to the newer set');
    await room.until('the focus is lost', async () => (await focused()) === 'Body');
    await room.press('Undo');
    await room.visit('/demo/draft/puppeteer-black/true/it');
    await (await room.at('//aside//button[normalize-space()="True it"]')).click();
    await room.press('Take all');
    await room.until('the focus is lost after taking', async () => (await focused()) === 'True it');
    await room.press('Undo');
  });

  it('skips to board, bench and checks', async () => {
    await room.visit('/demo/draft/lamp-plain/draft');
    await room.find('[data-handle="back.crotch"]');
    expect(await room.driver.getTitle()).toBe('Plain trousers, Draft – Upstride');
    for (const [words, part] of [
      ['To the board', '.drawing'],
      ['To the bench', '.bench'],
      ['To the checks', '.tape'],
    ] as const) {
      await (await room.at(`//button[.="${words}"]`)).sendKeys(Key.ENTER);
      await room.until(`${words} leads nowhere`, () =>
        room.driver.executeScript<boolean>(`return document.activeElement.closest('${part}') !== null`),
      );
    }
  });
});
