import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { createApp } from './app.js';

const folder = resolve(import.meta.dirname, '..', 'dist');
if (!existsSync(folder)) {
  process.stderr.write('There is no build yet. Run bin/demo, or npm run build first.\n');
  process.exit(1);
}
const port = Number(process.env['PORT'] ?? 4173);
const server = createApp(folder).listen(port, '127.0.0.1', () => {
  process.stdout.write(`Upstride: http://localhost:${port}/demo\n`);
});
server.on('error', (fault: NodeJS.ErrnoException) => {
  const reason = fault.code === 'EADDRINUSE' ? `Port ${port} is taken. Set PORT to another.` : fault.message;
  process.stderr.write(`${reason}\n`);
  process.exit(1);
});
