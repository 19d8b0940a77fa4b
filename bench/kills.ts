import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { mkdtemp } from 'node:fs/promises';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { setTimeout as rest } from 'node:timers/promises';
import { startBrowser } from '../e2e/browser.js';
import { RoomPage } from '../e2e/room-page.js';
import { createApp } from '../server/app.js';
import { seeded } from './random-body.js';

/** So many times the browser is killed while one works; half of them with the machine loaded. */
const KILLS = Number(process.argv[2] ?? 40);
/** Every act older than this, in ms, must be there afterwards. */
const OLD = 300;
const LOAD = 6;

/** Makes acts on a draft, kills the browser at a random moment, opens it again and looks which acts are there. */
async function kills(): Promise<void> {
  const server = createApp(resolve('dist')).listen(0, '127.0.0.1');
  await new Promise((ready) => server.once('listening', ready));
  const address = `http://localhost:${(server.address() as AddressInfo).port}`;
  const profile = await mkdtemp(join(tmpdir(), 'upstride-kills-'));
  const random = seeded(15);
  const told = { kills: 0, opened: 0, lost: 0, newest: 0 };
  let wanted: { readonly value: string; readonly at: number }[] = [];
  let killedAt = 0;
  for (let i = 0; i <= KILLS; i++) {
    const load: ChildProcess[] =
      i % 2 === 1 ? Array.from({ length: LOAD }, () => spawn('sh', ['-c', 'while :; do :; done'])) : [];
    const browser = await startBrowser(1280, 800, profile);
    const room = new RoomPage();
    room.enterWith(browser, address);
    await room.visit('/demo/draft/lamp-plain/draft');
    await room.find('[data-handle="back.crotch"]');
    if (i > 0) {
      told.opened += 1;
      const now = await room.valueOf('Knee width');
      const old = wanted.filter((act) => killedAt - act.at > OLD);
      const at = wanted.findIndex((act) => act.value === now);
      if (at < old.length - 1) {
        told.lost += 1;
        console.log(`kill ${i}: ${now} is there, ${old.at(-1)?.value} was wanted`);
      }
      if (at === wanted.length - 1) told.newest += 1;
    }
    if (i === KILLS) {
      await browser.quit();
      break;
    }
    wanted = [{ value: await room.valueOf('Knee width'), at: 0 }];
    for (let k = 0; k < 3 + Math.floor(4 * random()); k++) {
      const value = String(20 + ((i * 7 + k) % 90) / 10);
      await room.enter('Knee width', value);
      wanted.push({ value, at: performance.now() });
      await rest(200 * random());
    }
    await rest(600 * random());
    killedAt = performance.now();
    execFileSync('pkill', ['-9', '-f', profile]);
    told.kills += 1;
    for (const one of load) one.kill('SIGKILL');
    await browser.quit().catch(() => undefined);
    await rest(300);
  }
  server.closeAllConnections();
  server.close();
  console.log(
    `${told.kills} kills in mid-edit: the database opened ${told.opened} times, ${told.lost} lost an act older than ${OLD} ms; the newest act was there ${told.newest} times`,
  );
}

await kills();
process.exit(0);
