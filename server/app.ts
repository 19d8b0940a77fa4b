import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { join } from 'node:path';

/** Serves a build: strict headers, no request leaves the machine, every address of the application gives its page. */
export function createApp(folder: string): Express {
  const app = express();
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          frameAncestors: ["'none'"],
          formAction: ["'none'"],
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  app.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(folder, { setHeaders: (res) => res.setHeader('Cache-Control', 'no-cache') }));
  app.get('/{*any}', (_, res) => {
    res.setHeader('Cache-Control', 'no-cache');
    res.sendFile(join(folder, 'index.html'));
  });
  return app;
}
