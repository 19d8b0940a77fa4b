import { resolve } from 'node:path';
import type { AddressInfo } from 'node:net';
import { startBrowser } from '../e2e/browser.js';
import { createApp } from '../server/app.js';

/** Replays a drag of the back crotch point in the page and reads what each frame cost in script. */

const SCRIPT_LIMIT = 8;
const server = createApp(resolve(import.meta.dirname, '..', 'dist')).listen(0, '127.0.0.1');
await new Promise((ready) => server.once('listening', ready));
const address = `http://localhost:${(server.address() as AddressInfo).port}`;
const browser = await startBrowser();
const { driver } = browser;

interface Replay {
  /** Handling of the move and of the frame it asks for, without what React renders after it, in ms. */
  readonly frames: number[];
  readonly long: number;
}

/** Seconds of script and of whole tasks since the page was opened, as the browser itself counts them. */
async function spent(): Promise<{ script: number; task: number }> {
  const { metrics } = await driver.sendAndGetDevToolsCommand<{ metrics: { name: string; value: number }[] }>(
    'Performance.getMetrics',
    {},
  );
  const of = (name: string): number => metrics.find((m) => m.name === name)?.value ?? NaN;
  return { script: of('ScriptDuration'), task: of('TaskDuration') };
}

const REPLAY = `
const done = arguments[0];
const grip = document.querySelector('[data-handle="back.crotch"]');
const box = grip.querySelector('.grip').getBoundingClientRect();
const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
const send = (type, x) => grip.dispatchEvent(new PointerEvent(type, { bubbles: true, cancelable: true, pointerId: 1, button: 0, buttons: 1, clientX: x, clientY: at.y }));
grip.setPointerCapture = () => {};
let long = 0;
new PerformanceObserver((list) => { long = Math.max(long, ...list.getEntries().map((e) => e.duration)); }).observe({ entryTypes: ['longtask'] });
const frames = [];
const real = window.requestAnimationFrame;
let script = 0;
window.requestAnimationFrame = (f) => real((t) => { const s = performance.now(); f(t); script += performance.now() - s; });
send('pointerdown', at.x);
let i = 0;
const step = () => {
  if (script > 0) frames.push(script);
  script = 0;
  if (i === 240) { send('pointerup', at.x); done({ frames, long }); return; }
  const s = performance.now();
  send('pointermove', at.x + 60 * Math.sin(i / 12));
  script += performance.now() - s;
  i += 1;
  real(() => setTimeout(step, 0));
};
setTimeout(step, 200);
`;

await driver.get(`${address}/demo/draft/cellist-dress/draft`);
await driver.wait(async () => (await driver.findElements({ css: '[data-handle="back.crotch"]' })).length > 0, 10_000);
await driver.manage().setTimeouts({ script: 60_000 });
await driver.sendDevToolsCommand('Performance.enable', {});
await new Promise((settled) => setTimeout(settled, 2000));
// The first drag runs code that the browser has not made fast yet; the second shows what a hand meets from then on.
for (const name of ['first drag', 'next drag']) {
  const before = await spent();
  const { frames, long } = await driver.executeAsyncScript<Replay>(REPLAY);
  const after = await spent();
  const perFrame = (from: number, to: number): string => ((1000 * (to - from)) / frames.length).toFixed(2);
  const sorted = frames.slice(20).sort((a, b) => a - b);
  const quantile = (q: number): string => (sorted[Math.floor(q * (sorted.length - 1))] ?? NaN).toFixed(2);
  console.log(
    `${name}: ${frames.length} frames; script ${perFrame(before.script, after.script)} ms a frame (limit ${SCRIPT_LIMIT} ms), whole task ${perFrame(before.task, after.task)} ms a frame; handling alone median ${quantile(0.5)} ms, 99th percentile ${quantile(0.99)} ms; longest task ${long === 0 ? 'under 50' : long.toFixed(0)} ms (limit 50 ms)`,
  );
}
await browser.quit();
server.closeAllConnections();
server.close();
