import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { createApp } from './app.js';

const folder = resolve(import.meta.dirname, '..', 'dist');
const wanted = process.env['PORT'] ?? '4173';
const port = Number(wanted);
if (!/^\d+$/.test(wanted) || port > 65_535) {
  process.stderr.write(`PORT is “${wanted}”. Set it to a number up to 65535, such as 4173.\n`);
  process.exit(1);
}
if (!existsSync(folder)) {
  process.stderr.write('There is no build yet. Run bin/demo, or npm run build first.\n');
  process.exit(1);
}
createApp(folder).listen(port, '127.0.0.1', (fault?: NodeJS.ErrnoException) => {
  if (!fault) {
    process.stdout.write(`Upstride: http://localhost:${port}/demo\n`);
    return;
  }
  const reason = fault.code === 'EADDRINUSE' ? `Port ${port} is taken. Set PORT to another.` : fault.message;
  process.stderr.write(`${reason}\n`);
  process.exit(1);
});
