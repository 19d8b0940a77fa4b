import { mkdtemp, mkdir, writeFile } from 'node:fs/promises';
import type { AddressInfo } from 'node:net';
import { spawnSync } from 'node:child_process';
import { request, type Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from './app.js';

let server: Server;
let address = '';

beforeAll(async () => {
  const folder = await mkdtemp(join(tmpdir(), 'upstride-dist-'));
  await mkdir(join(folder, 'assets'));
  await writeFile(join(folder, 'index.html'), '<!doctype html><title>Upstride</title>');
  await writeFile(join(folder, 'assets', 'a-1.js'), 'export {};');
  server = createApp(folder).listen(0, '127.0.0.1');
  await new Promise((ready) => server.once('listening', ready));
  address = `http://localhost:${(server.address() as AddressInfo).port}`;
});
afterAll(() => {
  server.closeAllConnections();
  server.close();
});

describe('the server', () => {
  it('gives the page at every address of the application, never kept', async () => {
    for (const path of ['/', '/demo', '/own/draft/some-id/cut']) {
      const answer = await fetch(address + path);
      expect(answer.status).toBe(200);
      expect(await answer.text()).toContain('Upstride');
      expect(answer.headers.get('cache-control')).toBe('no-cache');
    }
  });

  it('lets no request leave the machine and no foreign script in', async () => {
    const policy = (await fetch(address)).headers.get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'self'");
    expect(policy).toContain("script-src 'self'");
    expect(policy).not.toMatch(/script-src[^;]*unsafe|https?:/);
  });

  it('keeps assets for good, and says where one is missing', async () => {
    const answer = await fetch(`${address}/assets/a-1.js`);
    expect(answer.headers.get('cache-control')).toContain('immutable');
    const gone = await fetch(`${address}/assets/gone.js`);
    expect([gone.status, await gone.text()]).toEqual([404, 'This file is not here.']);
  });

  it('answers to its own names alone, and gives the pages nothing that they have no need of', async () => {
    const { port } = server.address() as AddressInfo;
    const asked = (host: string): Promise<number | undefined> =>
      new Promise((done, fail) => {
        request({ host: '127.0.0.1', port, headers: { host } }, (answer) => {
          answer.resume();
          done(answer.statusCode);
        })
          .on('error', fail)
          .end();
      });
    expect(await asked(`localhost:${port}`)).toBe(200);
    expect(await asked('somewhere.example')).toBe(421);
    expect((await fetch(address)).headers.get('permissions-policy')).toContain('microphone=()');
  });

  it('says that its port is taken, or is no port, and nothing else', () => {
    const { port } = server.address() as AddressInfo;
    const started = (wanted: string) =>
      spawnSync(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
        env: { ...process.env, PORT: wanted },
        encoding: 'utf8',
      });
    const taken = started(String(port));
    expect([taken.status, taken.stdout]).toEqual([1, '']);
    expect(taken.stderr).toMatch(/^(Port \d+ is taken\. Set PORT to another\.|There is no build yet\..*)\n$/);
    expect(started('abc').stderr).toBe('PORT is “abc”. Set it to a number up to 65535, such as 4173.\n');
  });
});
