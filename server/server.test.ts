import { mkdtemp, mkdir, writeFile } from 'node:fs/promises';
import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
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
    expect((await fetch(`${address}/assets/gone.js`)).status).toBe(404);
  });
});
