import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import type { TestProject } from 'vitest/node';
import { createApp } from '../server/app.js';

declare module 'vitest' {
  export interface ProvidedContext {
    address: string;
  }
}

/** Serves the production build for the journeys, on whatever port is free. */
export default async function serve(project: TestProject): Promise<() => Promise<void>> {
  const app = createApp(resolve(import.meta.dirname, '..', 'dist'));
  const server = app.listen(0, '127.0.0.1');
  await new Promise((ready) => server.once('listening', ready));
  project.provide('address', `http://localhost:${(server.address() as AddressInfo).port}`);
  return () =>
    new Promise((done) => {
      server.closeAllConnections();
      server.close(() => {
        done();
      });
    });
}
