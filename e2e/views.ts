import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Browser } from './browser.js';

/** Every view, with something of the demo in it. */
export const VIEWS = [
  '/',
  '/demo',
  '/demo/crew',
  '/demo/sizes',
  '/demo/practise',
  '/demo/practise/extension',
  '/demo/practise/wrong-tape',
  '/demo/practise/own?method=quarter-and-half&level=eighths&ask=curves',
  '/demo/forms?people=cellist&unit=cm',
  '/demo/person/lead-puppeteer/history',
  '/demo/person/apprentice',
  '/demo/draft/cook-kitchen/measure',
  '/demo/draft/cook-copy/measure',
  '/demo/draft/cook-kitchen/choose',
  '/demo/draft/cook-kitchen/choose/advise',
  '/demo/draft/cook-kitchen/choose/compare',
  '/demo/draft/cook-kitchen/choose/steps',
  '/demo/draft/cook-kitchen/choose/sheet',
  '/demo/draft/cook-kitchen/draft',
  '/demo/draft/lamp-plain/true',
  '/demo/draft/lamp-plain/true/it',
  '/demo/draft/lamp-plain/true/walk',
  '/demo/draft/lamp-plain/true/report',
  '/demo/draft/puppeteer-black/true/curve',
  '/demo/draft/cook-copy/true/outline',
  '/demo/draft/lamp-plain/true/outline',
  '/demo/draft/cellist-dress/finish',
  '/demo/draft/cellist-dress/finish?walk=inseam',
  '/demo/draft/lamp-leggings/finish',
  '/demo/draft/cook-kitchen/cut',
  '/demo/draft/cellist-dress/cut/chalk',
  '/demo/draft/cellist-dress/cut/lay',
  '/demo/draft/rigger-work/toile',
  '/demo/draft/puppeteer-black/toile/virtual',
  '/demo/draft/cellist-dress/cut/ready',
  '/demo/draft/cellist-dress/cut/make',
  '/demo/draft/cellist-dress/cut/spec',
];

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

interface Violation {
  readonly id: string;
  readonly nodes: readonly { readonly html: string }[];
}

/** What a checker of accessibility finds wrong with the page as it is, of any grade; by all its rules, or by some. */
export async function faultsOf(driver: Browser['driver'], rules?: readonly string[]): Promise<string[]> {
  await driver.executeScript(axe);
  const found = await driver.executeAsyncScript<Violation[]>(
    `const [rules, done] = arguments;
     const still = document.getAnimations().filter((a) => a.effect.getComputedTiming().endTime < 1e4);
     Promise.all(still.map((a) => a.finished.catch(() => {})))
       .then(() => axe.run({ resultTypes: ['violations'], iframes: false, ...(rules && { runOnly: rules }) }))
       .then((r) => done(r.violations));`,
    rules ?? null,
  );
  return found.map((f) => `${f.id}: ${f.nodes.map((n) => n.html.slice(0, 160)).join(' | ')}`);
}
