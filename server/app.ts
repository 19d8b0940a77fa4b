import compression from 'compression';
import express, { type ErrorRequestHandler, type Express } from 'express';
import helmet from 'helmet';
import { join } from 'node:path';

/** The names by which this machine calls itself; a page of another name that is led here gets no answer. */
const OWN_NAMES: ReadonlySet<string> = new Set(['localhost', '127.0.0.1', '::1', '[::1]']);

/** What the pages have no need of. */
const NO_NEED_OF = 'camera=(), microphone=(), geolocation=(), payment=(), usb=(), serial=(), bluetooth=()';

/** Says what failed without a word on where the server keeps its files. */
const plainFault: ErrorRequestHandler = (fault: { readonly status?: number }, _, res, next) => {
  if (res.headersSent) {
    next(fault);
    return;
  }
  const status = fault.status ?? 500;
  res
    .status(status)
    .type('text')
    .send(status === 404 ? 'This file is not here.' : 'This cannot be answered.');
};

/** Serves a build: strict headers, no request leaves the machine, every address of the application gives its page. */
export function createApp(folder: string): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use((req, res, next) => {
    res.setHeader('Permissions-Policy', NO_NEED_OF);
    if (OWN_NAMES.has(req.hostname)) next();
    else res.status(421).type('text').send('This address is not served here.');
  });
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
  app.use(plainFault);
  return app;
}
