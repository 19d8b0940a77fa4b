import { command } from './command.js';

const { status, out, error } = await command(process.argv.slice(2));
process.stdout.write(out);
process.stderr.write(error);
process.exitCode = status;
